using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>A bean stitch along the inside of edges.</summary>
internal static class BeanCover
{
    /// <param name="regions">The outline, mm.</param>
    /// <param name="cover">How far inside, stitch length and passes.</param>
    /// <param name="visible">What gets a line; null for all of it.</param>
    internal static StepStitches Make(ImmutableArray<Region> regions, CoverNumbers cover, VisibleEdge? visible = null)
    {
        var lines = visible is null
            ? EntryChoice
                .Of(InsetLine.Of(regions, cover.Inset))
                .Select(
                    (entry, i) =>
                        (Edge: i, Points: RunStitch.Round(entry.Ring.StartingAt(entry.Start), cover.UnitLength))
                )
            : CoverEdges
                .Of(regions, new CoverBand(Math.Max(0, -cover.Inset), Math.Max(0, cover.Inset)), visible)
                .Select(edge => (Edge: edge.Ring, Points: RunStitch.Along(Line(edge, cover.Inset), cover.UnitLength)));
        return new StepStitches(
            [
                .. lines
                    .Where(line => line.Points.Length > 1)
                    .Select(line => new StitchRun(RunKind.Line, line.Edge, BeanStitch.Of(line.Points, cover.Passes))),
            ],
            []
        );
    }

    private static ImmutableArray<Point> Line(CoverEdge edge, double inset)
    {
        var points = ImmutableArray.CreateBuilder<Point>();
        foreach (var leg in edge.Legs)
        {
            Budget.Spend();
            var side = new SidePath(leg, inset < 0 ? BandSide.Outer : BandSide.Inner);
            points.AddRange(side.Between(0, side.Length));
        }
        if (edge.IsClosed && points.Count > 0)
        {
            points.Add(points[0]);
        }
        return points.ToImmutable();
    }
}
