using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>Stitches that follow one another without a jump or a trim.</summary>
public static class NeedleSections
{
    /// <summary>The places of each section, in order; a section has at least one.</summary>
    public static ImmutableArray<ImmutableArray<Point>> Of(IReadOnlyList<OpenedPoint> points)
    {
        var sections = ImmutableArray.CreateBuilder<ImmutableArray<Point>>();
        var open = ImmutableArray.CreateBuilder<Point>();
        foreach (var point in points)
        {
            Budget.Spend();
            if (point.Move == OpenedMove.Stitch)
            {
                open.Add(point.At);
            }
            else if (open.Count > 0)
            {
                sections.Add(open.DrainToImmutable());
            }
        }
        if (open.Count > 0)
        {
            sections.Add(open.DrainToImmutable());
        }
        return sections.ToImmutable();
    }
}
