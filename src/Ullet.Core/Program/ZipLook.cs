using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.Program;

/// <summary>What makes a zip look like one: teeth, the open part, the slider.</summary>
/// <param name="Teeth">The middles of the rows of teeth, mm: one where it is shut, two where it is open.</param>
/// <param name="Slit">What can be looked through, mm; nothing where it is shut.</param>
/// <param name="Slider">The slider with its puller, mm; nothing where none is known.</param>
public sealed record ZipLook(
    ImmutableArray<ImmutableArray<Point>> Teeth,
    ImmutableArray<Region> Slit,
    ImmutableArray<Region> Slider
)
{
    /// <summary>How wide a row of teeth is, mm.</summary>
    public const double TeethWidth = 3;

    /// <summary>The open halves lie so far apart in the middle, mm.</summary>
    private const double Apart = 7;

    private const int Steps = 24;

    /// <summary>The look of a layer; null for what is no zip.</summary>
    public static ZipLook? Of(PresentLayer layer)
    {
        var box = Box.Of(layer.Area);
        if (layer.Cloth.Kind != ClothKind.Zip || box.IsEmpty)
        {
            return null;
        }
        var isAcross = box.Width >= box.Height;
        var (half, across) = isAcross
            ? (new Point(box.Width / 2, 0), new Point(0, 1))
            : (new Point(0, box.Height / 2), new Point(1, 0));
        var (start, end) = (box.Centre - half, box.Centre + half);
        ImmutableArray<Region> slider = layer.Slider is { } at ? Slid(at, half.Unit(), across) : [];
        return layer.Parted is var (from, to) && from.DistanceTo(to) > 1
            ? Open(start, end, from, to, across, slider)
            : new ZipLook(
                [
                    [start, end],
                ],
                [],
                slider
            );
    }

    private static ZipLook Open(
        Point start,
        Point end,
        Point from,
        Point to,
        Point across,
        ImmutableArray<Region> slider
    )
    {
        ImmutableArray<Point> Side(int sign) =>
            [
                .. Enumerable
                    .Range(0, Steps + 1)
                    .Select(i =>
                        Point.Lerp(from, to, (double)i / Steps)
                        + (across * (sign * Apart / 2 * Math.Sin(Math.PI * i / Steps)))
                    ),
            ];
        // Behind the slider it stays shut.
        var (near, far) = start.DistanceTo(to) > end.DistanceTo(to) ? (start, end) : (end, start);
        var (one, other) = (Side(1), Side(-1));
        return new ZipLook(
            [
                [near, from],
                one,
                other,
                [to, far],
            ],
            [new Region(Ring.Of([.. one, .. other.Reverse()]), [])],
            slider
        );
    }

    /// <summary>A slider about its middle, its puller along the teeth.</summary>
    private static ImmutableArray<Region> Slid(Point at, Point along, Point across)
    {
        Point Place(double far, double side) => at + (along * far) + (across * side);
        return
        [
            new Region(
                Ring.Of([
                    Place(-4.5, -3.6),
                    Place(4.5, -3.6),
                    Place(4.5, -1.6),
                    Place(14, -1.6),
                    Place(14, 1.6),
                    Place(4.5, 1.6),
                    Place(4.5, 3.6),
                    Place(-4.5, 3.6),
                ]),
                []
            ),
        ];
    }
}
