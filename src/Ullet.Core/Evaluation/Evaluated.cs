using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Cutting;
using Ullet.Core.Findings;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Stitches;

namespace Ullet.Core.Evaluation;

/// <summary>A document with what every station made of it.</summary>
public sealed record Evaluated(
    Project Project,
    IReadOnlyDictionary<string, Outline> Outlines,
    ImmutableArray<PieceAtWork> Pieces,
    RunSheet RunSheet,
    IReadOnlyDictionary<StepKey, StepStitches> Stitches,
    StitchProgram Program,
    ImmutableArray<CutSheet> Sheets,
    ImmutableArray<Finding> Findings
)
{
    /// <summary>Each element's outline with what its operations made, by element id.</summary>
    public required IReadOnlyDictionary<string, ShapedElement> Shapes { get; init; }

    /// <summary>What each element is sewn as, by element id.</summary>
    public required IReadOnlyDictionary<string, ElementAtWork> Work { get; init; }

    /// <summary>Everything that is cut, as it stands on the wall, without marks.</summary>
    public ImmutableArray<CutShape> Cuts { get; init; } = [];

    /// <summary>What lies in the hoop after each step of the run sheet, from the bottom up.</summary>
    public ImmutableArray<ImmutableArray<PresentLayer>> Layers { get; init; } = [];

    /// <summary>The layers on which a pattern's decoration lies, from the bottom up, pieces left aside; none without a pattern.</summary>
    public ImmutableArray<PresentLayer> Base { get; init; } = [];

    /// <summary>The hoopings in which pieces are marked on their own cloth; each has a stitch file of its own.</summary>
    public ImmutableArray<HoopingOutput> Guides { get; init; } = [];

    /// <summary>How often the machine stops for hands in either order of the pieces.</summary>
    public ImmutableDictionary<StitchOrder, int> StopsOf { get; init; } = ImmutableDictionary<StitchOrder, int>.Empty;

    /// <summary>What is made of each element and step for a screen.</summary>
    private const long SceneBytes = 20_000;

    /// <summary>About how many bytes it holds in memory, what it shares with the stations' cache left out.</summary>
    public long Bytes =>
        Program.Bytes
        + Guides.Sum(guide => guide.Program.Bytes)
        + (SceneBytes * (Project.Elements.Length + Layers.Length));

    /// <summary>The program of a hooping; null for one that is not there.</summary>
    /// <param name="hooping">A guide's id, or the project's own hooping's; null for the latter.</param>
    public StitchProgram? ProgramOf(string? hooping) =>
        hooping is null || hooping == Project.Hooping.Id
            ? Program
            : Guides.FirstOrDefault(guide => guide.Id == hooping)?.Program;

    /// <summary>The pieces of cloth of an element: one for each letter where letters are set one by one.</summary>
    public IEnumerable<PieceAtWork> PiecesOf(string elementId) =>
        Pieces.Where(work => work.Part.Element.Id == elementId);

    /// <summary>The box of all needle points, mm: the whole design. Empty without stitches.</summary>
    public Box DesignBounds() =>
        Box.Of(Program.Steps.OfType<ProgramStitches>().SelectMany(step => step.Commands).Select(command => command.At));

    /// <summary>The box of the piece's own needle points, mm: its outline with its cover.</summary>
    public Box StitchedBounds(string elementId) =>
        Box.Of(
            Program
                .Steps.OfType<ProgramStitches>()
                .Where(step => step.Key.OwnerId == elementId)
                .SelectMany(step => step.Commands)
                .Select(command => command.At)
        );
}

/// <summary>One time in the hoop besides the project's own, with its steps and its stitch file.</summary>
public sealed record HoopingOutput(string Id, string Name, RunSheet RunSheet, StitchProgram Program);
