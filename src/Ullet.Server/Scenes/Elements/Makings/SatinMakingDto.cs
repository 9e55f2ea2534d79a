using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Evaluation;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Server.Scenes.Elements;

/// <summary>How something is sewn in satin.</summary>
/// <param name="Set">What was set by hand.</param>
/// <param name="Spacing">As it holds, mm.</param>
/// <param name="Compensation">On each side, as it holds, mm.</param>
/// <param name="Fallen">Stretches that are sewn otherwise, as they are too narrow or too wide.</param>
/// <param name="FallenSaid">The same in sentences.</param>
/// <param name="Said">What its thread asks for, in a sentence; empty for nothing.</param>
/// <param name="Directions">Its direction lines on the wall, mm.</param>
/// <param name="Underlay">What is ticked; where nothing is set, what ticking begins from.</param>
/// <param name="JoinNearer">Letters nearer than this are sewn on without a trim, as it holds, mm.</param>
/// <param name="Band">The band along its lines, as it holds.</param>
public sealed record SatinMakingDto(
    SatinMaking Set,
    double Spacing,
    double Compensation,
    ImmutableArray<FallenDto> Fallen,
    ImmutableArray<string> FallenSaid,
    string Said,
    ImmutableArray<DirectionDto> Directions,
    UnderlaySettings Underlay,
    double JoinNearer,
    SatinBand Band
) : MakingDto
{
    internal override MakingDto Worded(Func<string, string> said) => this with { Said = said(Said) };
}

/// <summary>A stretch that is sewn otherwise.</summary>
/// <param name="IsTooWide">True for rows of short stitches, false for a run along its middle.</param>
/// <param name="X">Its middle, mm.</param>
/// <param name="Y">The same down, mm.</param>
/// <param name="Length">mm.</param>
/// <param name="Width">mm.</param>
public sealed record FallenDto(bool IsTooWide, double X, double Y, double Length, double Width);

/// <summary>A direction line on the wall, mm.</summary>
public sealed record DirectionDto(double FromX, double FromY, double ToX, double ToY)
{
    /// <summary>Degrees to the right.</summary>
    public required double Angle { get; init; }

    /// <summary>Its middle.</summary>
    public required double X { get; init; }

    public required double Y { get; init; }
}

/// <summary>Satin as screens show it.</summary>
internal static class SatinMakingDtos
{
    private const string WideOnWall = " The wall shows it hatched.";

    private const string ThinOnWall = " The wall shows it dotted.";

    internal static SatinMakingDto Of(SatinMaking satin, Element element, Evaluated evaluated)
    {
        var project = evaluated.Project;
        var stitches = StitchesOf(element, evaluated);
        var thread = project.FindThread(satin.ThreadId) ?? project.FindThread(project.Hooping.CoverThreadId);
        var numbers = SatinChoice.Numbers(satin, SatinChoice.Ground(element, project), thread);
        return new SatinMakingDto(
            satin,
            numbers.Spacing,
            numbers.Compensation,
            [.. stitches.SelectMany(step => step.Fallen).Select(Of)],
            [
                .. FallenWords
                    .Of(element, stitches)
                    .Select(words => words.Said("") + (words.IsTooWide ? WideOnWall : ThinOnWall)),
            ],
            SatinChoice.Said(thread),
            [
                .. satin.Directions.Select(line =>
                {
                    var from = Core.Outlines.BoxFit.OnWall(element.Box, line.From);
                    var to = Core.Outlines.BoxFit.OnWall(element.Box, line.To);
                    var along = to - from;
                    return new DirectionDto(from.X, from.Y, to.X, to.Y)
                    {
                        Angle = Math.Round(Math.Atan2(along.Y, along.X) * 180 / Math.PI, 1),
                        X = Math.Round((from.X + to.X) / 2, 2),
                        Y = Math.Round((from.Y + to.Y) / 2, 2),
                    };
                }),
            ],
            satin.Underlay ?? UnderlayChoice.Usual,
            satin.JoinNearer ?? SatinChoice.JoinNearer,
            satin.Band
        );
    }

    /// <summary>What an element is sewn with, in the first hooping that has it.</summary>
    private static List<StepStitches> StitchesOf(Element element, Evaluated evaluated) =>
        evaluated
            .Hoopings.Select(hooping =>
                hooping.Stitches.Where(pair => pair.Key.OwnerId == element.Id).Select(pair => pair.Value).ToList()
            )
            .FirstOrDefault(found => found.Count > 0)
        ?? [];

    private static FallenDto Of(FallenPart part) => new(part.IsTooWide, part.At.X, part.At.Y, part.Length, part.Width);
}
