using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Server.Scenes.Elements;

/// <summary>How something is filled.</summary>
/// <param name="Set">What was set by hand.</param>
/// <param name="Spacing">As it holds, mm.</param>
/// <param name="Compensation">At each end of a row, as it holds, mm.</param>
/// <param name="StitchLength">As it holds, mm.</param>
/// <param name="Underlay">As it holds.</param>
/// <param name="Angle">Direction of its rows on the wall, degrees clockwise.</param>
/// <param name="Said">What its thread asks for, in a sentence; empty for nothing.</param>
/// <param name="Bent">How far its rows bend, over the width of what they follow; 0 for straight rows.</param>
/// <param name="Guide">The curve that its rows follow, on the wall, mm; empty for straight rows.</param>
public sealed record FilledMakingDto(
    FilledMaking Set,
    double Spacing,
    double Compensation,
    double StitchLength,
    FillUnderlay Underlay,
    double Angle,
    string Said,
    double Bent,
    ImmutableArray<PlaceDto> Guide
) : MakingDto
{
    internal override MakingDto Worded(Func<string, string> said) => this with { Said = said(Said) };
}

/// <summary>A place on the wall, mm.</summary>
public sealed record PlaceDto(double X, double Y);

/// <summary>Filled areas as screens show them.</summary>
internal static class FilledMakingDtos
{
    /// <summary>How far the middle of a guide lies from the line between its ends, over their distance.</summary>
    private static double Bent(FilledMaking filled, Element element)
    {
        if (filled.Guide.Length < 2)
        {
            return 0;
        }
        var line = filled.Guide.Select(spot => BoxFit.OnWall(element.Box, spot)).ToList();
        var along = line[^1] - line[0];
        var farthest = line.Select(at => Point.Cross(along.Unit(), at - line[0])).MaxBy(Math.Abs);
        return Math.Round(-farthest / Math.Max(1e-9, along.Length), 2);
    }

    internal static FilledMakingDto Of(FilledMaking filled, Element element, Evaluated evaluated)
    {
        var project = evaluated.Project;
        var thread = project.FindThread(filled.ThreadId) ?? project.FindThread(project.Hooping.CoverThreadId);
        var numbers = FillChoice.Numbers(filled, element, SatinChoice.Ground(element, project), thread);
        return new FilledMakingDto(
            filled,
            numbers.Spacing,
            numbers.Compensation,
            numbers.StitchLength,
            numbers.Underlay,
            numbers.Angle,
            SatinChoice.Said(thread),
            Bent(filled, element),
            [.. filled.Guide.Select(spot => BoxFit.OnWall(element.Box, spot)).Select(at => new PlaceDto(at.X, at.Y))]
        );
    }
}
