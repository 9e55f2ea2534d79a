using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The strokes that a closed cover sews again over its start.</summary>
internal static class ClosingOverlap
{
    /// <summary>An overlap this long holds, mm; so that with the next stroke it is about <see cref="StitchDefaults.ClosingOverlap"/>.
    /// </summary>
    private const double Enough = 1.05;

    /// <summary>Strokes halfway between the first ones, until <see cref="StitchDefaults.ClosingOverlap"/> beyond the start;
    /// between, so that the needle does not enter the same holes again, and a quarter as many, so that thread does not pile up.</summary>
    /// <remarks>The last one lies <see cref="Enough"/> beyond the start or a little more.</remarks>
    /// <param name="strokes">All strokes in sewing order.</param>
    /// <param name="start">Where the edge begins; a cover that begins at a corner sews the corner's cap again as well.</param>
    internal static Stroke[] Of(ReadOnlySpan<Stroke> strokes, Point start)
    {
        var again = new List<Stroke>();
        var (nearest, farthest) = (double.MaxValue, 0.0);
        for (var i = 0; i + 1 < strokes.Length; i += 4)
        {
            var (here, next) = (strokes[i].Place, strokes[i + 1].Place);
            var away = Point.Lerp(here.Outer, here.Inner, 0.5).DistanceTo(start);
            nearest = Math.Min(nearest, away);
            if (away > nearest && farthest >= Enough)
            {
                break;
            }
            farthest = Math.Max(farthest, away);
            again.Add(
                strokes[i] with
                {
                    Place = new StrokePlace(
                        Point.Lerp(here.Outer, next.Outer, 0.5),
                        Point.Lerp(here.Inner, next.Inner, 0.5)
                    )
                    {
                        IsClipped = here.IsClipped,
                    },
                }
            );
        }
        return [.. again];
    }
}
