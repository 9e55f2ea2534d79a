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
    internal static ShapeThread Of(ShapeTask task, CancellationToken cancellation)
    {
        var corner = task.Region.Bounds();
        var from = new Point(corner.MinX, corner.MinY);
        var count = task.Region.Rings.Sum(ring => ring.Points.Length);
        Budget.Spend(1 + (count / 8));
        var shape = LocalShape.Of(task.Region, from);
        var local = task with
        {
            Region = shape.Region,
            Directions =
            [
                .. task
                    .Directions.Where(line => Box.Of([line.From, line.To]).Overlaps(corner))
                    .Select(line => new StrokeDirection(
                        LocalShape.Near(line.From, from),
                        LocalShape.Near(line.To, from)
                    )),
            ],
            Entry = LocalShape.Near(task.Entry, from),
            Exit = task.Exit is { } spot ? LocalShape.Near(spot, from) : null,
        };
        ShapeThread Made() => ShapeThread.Of(local, cancellation);
        if (count > MostPoints)
        {
            return Made().Moved(from);
        }
        var key = new ShapeKey(
            [
                .. shape.Points,
                .. local.Directions.SelectMany(line => (Point[])[line.From, line.To]),
                local.Entry,
                local.Exit ?? new Point(double.MaxValue, 0),
            ],
            local.Numbers
        );
        return Kept.Of(key, Made).Moved(from);
    }
}
