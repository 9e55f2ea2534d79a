using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>How much the cover holds and hides at a place of the cut edge, once everything that may shift it is counted, mm.</summary>
/// <param name="At">The place on the outline.</param>
/// <param name="Ring">The ring's number, part by part, shell before holes.</param>
/// <param name="Along">Its distance along the ring from the ring's first point.</param>
/// <param name="Bite">Cover inside the edge when the edge ends up as far inwards as it may.</param>
/// <param name="Beyond">Cover outside the edge when it ends up as far outwards as it may; null for a line that hides none.</param>
public sealed record EdgeMargin(Point At, int Ring, double Along, double Bite, double? Beyond);

/// <summary>The edge match of a piece: does its cover, as sewn, hold and hide the cut edge wherever that may lie?</summary>
/// <param name="Wanted">Bite wanted on its cloth, mm.</param>
/// <param name="Margins">Places along its visible edge.</param>
public sealed record EdgeMatch(double Wanted, ImmutableArray<EdgeMargin> Margins)
{
    /// <summary>The teeth of a blanket cover bite at least this, mm.</summary>
    public const double BlanketBite = 2.0;

    /// <summary>Distance of the places along the edge, mm; at most <see cref="MostPlaces"/> for each ring.</summary>
    private const double Step = 1.0;

    private const int MostPlaces = 400;

    private const double Hair = 1e-9;

    /// <summary>The place where least is left of what is wanted; null without places.</summary>
    public EdgeMargin? Worst => Margins.MinBy(Spare);

    /// <summary>True when bite and cover beyond the edge suffice everywhere.</summary>
    public bool Holds => Worst is null || Spare(Worst) >= -Hair;

    /// <summary>True where cloth may come out from under the cover.</summary>
    public bool PeepsOut => Margins.Any(margin => margin.Beyond < -Hair);

    /// <summary>How much more there is than wanted at a place, mm; below 0 where something is missing.</summary>
    public double Spare(EdgeMargin margin) => Math.Min(margin.Bite - Wanted, margin.Beyond ?? double.MaxValue);

    /// <summary>The match of a piece as it stands; null without a cover or a visible edge.</summary>
    public static EdgeMatch? Of(PieceAtWork work) => Of(work, work.Part.Element);

    /// <summary>The match of a piece if its element were set otherwise.</summary>
    public static EdgeMatch? Of(PieceAtWork work, AppliqueElement piece)
    {
        if (piece.IsConstruction || piece.Stages.Cover.Off || work.IsBuried)
        {
            return null;
        }
        var cover = CoverChoice.Of(piece, work.Cloth);
        var preset = ClothPreset.Of(work.Cloth);
        var method = AppliqueMethods.Of(piece.Method);
        var shift = method.Shift(Math.Abs(StageNumbers.TackInset(piece, work.Cloth)), piece);
        var middle = work.Edge.Bounds().Centre;
        var margins = Places(work)
            .Select(place =>
            {
                var (inside, outside) = Sides(cover, place.Line);
                if (method.CoverLiesOnGround)
                {
                    // The cut edge is the ground's: what lies on the ground holds it, what lies in the window hides it.
                    (inside, outside) = (outside, inside);
                }
                var drawn = method.CoverLiesOnGround ? 0 : preset.DrawIn * place.At.DistanceTo(middle);
                return new EdgeMargin(
                    place.At,
                    place.Ring,
                    place.Along,
                    inside - shift.Inwards - drawn,
                    cover.LiesAcross ? outside - shift.Outwards : null
                );
            })
            .ToImmutableArray();
        var wanted = cover.Kind == CoverKind.Blanket ? BlanketBite : preset.Bite;
        return margins.IsEmpty ? null : new EdgeMatch(wanted, margins);
    }

    private static (double Inside, double Outside) Sides(CoverNumbers cover, ReadOnlyMemory<Point> line)
    {
        if (!cover.LiesAcross || cover.Band.Stretches.IsEmpty)
        {
            return (cover.Inside, cover.Outside);
        }
        var own = cover with { Band = cover.Band.At(StretchNumbers.Of(cover.Band.Stretches, line.Span)) };
        return (own.Inside, own.Outside);
    }

    /// <summary>Places along the visible edge, each with the leg between corners that it lies on.</summary>
    private static IEnumerable<(Point At, int Ring, double Along, ReadOnlyMemory<Point> Line)> Places(PieceAtWork work)
    {
        var rings = work.Edge.Flatten().SelectMany(region => region.Rings).ToList();
        var covered = work
            .Stretches.Where(stretch => stretch.IsCovered)
            .ToLookup(stretch => stretch.Ring, stretch => stretch.Points.ToArray());
        for (var number = 0; number < rings.Count; number++)
        {
            var ring = rings[number];
            if (ring.Points.Length < 3 || CoverEdges.IsSpeck(ring))
            {
                continue;
            }
            Point[] points = [.. ring.Points, ring.Points[0]];
            var step = Math.Max(Step, ring.Length / MostPlaces);
            var corners = ring.Corners();
            var (sum, next) = (0.0, step / 2);
            for (var i = 0; i + 1 < points.Length; i++)
            {
                var length = points[i].DistanceTo(points[i + 1]);
                for (; next < sum + length; next += step)
                {
                    var at = Point.Lerp(points[i], points[i + 1], (next - sum) / length);
                    if (!covered[number].Any(line => IsOn(line, at)))
                    {
                        yield return (at, number, next, Leg(ring, corners, i));
                    }
                }
                sum += length;
            }
        }
    }

    private static bool IsOn(Point[] line, Point place)
    {
        for (var i = 1; i < line.Length; i++)
        {
            if (SegmentIndex.Foot(place, line[i - 1], line[i]).DistanceTo(place) < Tolerance.Quantum)
            {
                return true;
            }
        }
        return false;
    }

    private static ReadOnlyMemory<Point> Leg(Ring ring, ImmutableArray<int> corners, int edge)
    {
        if (corners.IsEmpty)
        {
            return ring.Points.AsMemory();
        }
        var count = ring.Points.Length;
        var after = corners.FirstOrDefault(corner => corner > edge, corners[0] + count);
        var before = corners.LastOrDefault(corner => corner <= edge, corners[^1] - count);
        return Enumerable.Range(before, after - before + 1).Select(i => ring.Points[(i + count) % count]).ToArray();
    }
}
