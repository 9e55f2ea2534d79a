using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Keeps what shapes were sewn with: the same letter is sewn once, wherever it stands.</summary>
/// <remarks>Shapes are always sewn beside the origin, their points on a fine grid, so that what comes out does not depend on whether
/// one was kept. When too many are kept the oldest go.</remarks>
internal static class ShapeThreads
{
    private const int MostKept = 2000;

    /// <summary>Larger shapes are not kept.</summary>
    private const int MostPoints = 4000;

    private static readonly KeptWork<ShapeThread> Kept = new(MostKept);

    /// <inheritdoc cref="ShapeThread.Of"/>
    internal static ShapeThread Of(
        Region region,
        ColumnNumbers numbers,
        ImmutableArray<StrokeDirection> directions,
        Point entry,
        Point? exit,
        CancellationToken cancellation
    )
    {
        var corner = region.Bounds();
        var from = new Point(corner.MinX, corner.MinY);
        var count = region.Rings.Sum(ring => ring.Points.Length);
        Budget.Spend(1 + (count / 8));
        var local = LocalShape.Of(region, from);
        var localEntry = LocalShape.Near(entry, from);
        Point? localExit = exit is { } spot ? LocalShape.Near(spot, from) : null;
        ImmutableArray<StrokeDirection> lines =
        [
            .. directions
                .Where(line => Box.Of([line.From, line.To]).Overlaps(corner))
                .Select(line => new StrokeDirection(LocalShape.Near(line.From, from), LocalShape.Near(line.To, from))),
        ];
        ShapeThread Made() => ShapeThread.Of(local.Region, numbers, lines, localEntry, localExit, cancellation);
        if (count > MostPoints)
        {
            return Made().Moved(from);
        }
        var key = new ShapeKey(
            [
                .. local.Points,
                .. lines.SelectMany(line => (Point[])[line.From, line.To]),
                localEntry,
                localExit ?? new Point(double.MaxValue, 0),
            ],
            numbers
        );
        return Kept.Of(key, Made).Moved(from);
    }
}
