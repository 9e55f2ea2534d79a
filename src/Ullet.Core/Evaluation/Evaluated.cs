using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Cutting;
using Ullet.Core.Findings;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
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
    ImmutableArray<HoopingOutput> Hoopings,
    ImmutableArray<CutSheet> Sheets,
    ImmutableArray<Finding> Findings
)
{
    /// <summary>What the checks read.</summary>
    public required FindingInput CheckedOn { get; init; }

    /// <summary>The steps of the first hooping.</summary>
    public RunSheet RunSheet => Hoopings[0].RunSheet;

    /// <summary>The program of the first hooping.</summary>
    public StitchProgram Program => Hoopings[0].Program;

    /// <summary>The needle points of each step of the first hooping, before travel, locks and trims.</summary>
    public IReadOnlyDictionary<StepKey, StepStitches> Stitches => Hoopings[0].Stitches;

    /// <summary>Each element's outline with what its operations made, by element id.</summary>
    public required IReadOnlyDictionary<string, ShapedElement> Shapes { get; init; }

    /// <summary>What each element is sewn as, by element id.</summary>
    public required IReadOnlyDictionary<string, ElementAtWork> Work { get; init; }

    /// <summary>Everything that is cut, as it stands on the wall, without marks.</summary>
    public ImmutableArray<CutShape> Cuts { get; init; } = [];

    /// <summary>Whether the work can be turned where its run sheet says so; null where it does not.</summary>
    public TurningReport? Turning { get; init; }

    /// <summary>What lies in the hoop after each step of the run sheet, from the bottom up.</summary>
    public ImmutableArray<ImmutableArray<PresentLayer>> Layers { get; init; } = [];

    /// <summary>The layers on which a pattern's decoration lies, from the bottom up, pieces left aside; none without a pattern.</summary>
    public ImmutableArray<PresentLayer> Base { get; init; } = [];

    /// <summary>How often the machine stops for hands in either order of the pieces.</summary>
    public ImmutableDictionary<StitchOrder, int> StopsOf { get; init; } = ImmutableDictionary<StitchOrder, int>.Empty;

    /// <summary>What is made of each element and step for a screen.</summary>
    private const long SceneBytes = 20_000;

    /// <summary>About how many bytes it holds in memory, what it shares with the stations' cache left out.</summary>
    public long Bytes =>
        Hoopings.Sum(hooping => hooping.Program.Bytes) + (SceneBytes * (Project.Elements.Length + Layers.Length));

    /// <summary>A hooping's output; null for one that is not there.</summary>
    /// <param name="hooping">The hooping's id; null for the first.</param>
    public HoopingOutput? HoopingOf(string? hooping) =>
        hooping is null ? Hoopings[0] : Hoopings.FirstOrDefault(output => output.Id == hooping);

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
                .SelectMany(step => step.OwnPoints())
        );
}

/// <summary>One time in the hoop, with its steps and its stitch file.</summary>
/// <param name="Hooping">What is hooped, in which hoop.</param>
/// <param name="RunSheet">Its steps.</param>
/// <param name="Program">What the machine does.</param>
public sealed record HoopingOutput(Hooping Hooping, RunSheet RunSheet, StitchProgram Program)
{
    /// <summary>Where the orders lie of a hooping for several; none of any other.</summary>
    public ImmutableArray<Seat> Seats { get; init; } = [];

    public string Id => Hooping.Id;

    public string Name => Hooping.Name;

    /// <summary>Needle points of each stitch step, by key.</summary>
    public required IReadOnlyDictionary<StepKey, StepStitches> Stitches { get; init; }

    /// <summary>What stands for the same in keys.</summary>
    public required IReadOnlyDictionary<StepKey, ContentHash> StitchKeys { get; init; }
}
