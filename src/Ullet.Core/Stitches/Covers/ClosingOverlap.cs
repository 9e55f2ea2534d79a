using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The strokes that a closed cover sews again over its start.</summary>
internal static class ClosingOverlap
{
    /// <summary>Strokes halfway between the first ones, until <see cref="StitchDefaults.ClosingOverlap"/> beyond the start;
    /// between, so that the needle does not enter the same holes again, and a third as many, so that thread does not pile up.</summary>
    /// <param name="strokes">All strokes in sewing order.</param>
    /// <param name="start">Where the edge begins; a cover that begins at a corner sews the corner's cap again as well.</param>
    internal static Stroke[] Of(ReadOnlySpan<Stroke> strokes, Point start)
    {
        var again = new List<Stroke>();
        var nearest = double.MaxValue;
        for (var i = 0; i + 1 < strokes.Length; i += 3)
        {
            var (here, next) = (strokes[i].Place, strokes[i + 1].Place);
            var away = Point.Lerp(here.Outer, here.Inner, 0.5).DistanceTo(start);
            nearest = Math.Min(nearest, away);
            if (away > nearest && away >= StitchDefaults.ClosingOverlap)
            {
                break;
            }
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
