using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The strokes that a closed cover sews again over its start.</summary>
internal static class ClosingOverlap
{
    /// <summary>Strokes halfway between the first ones, until <see cref="StitchDefaults.ClosingOverlap"/> beyond the start;
    /// between, so that the needle does not enter the same holes again.</summary>
    /// <param name="strokes">All strokes in sewing order.</param>
    /// <param name="start">Where the edge begins; a cover that begins at a corner sews the corner's cap again as well.</param>
    internal static List<StrokePlace> Of(IReadOnlyList<StrokePlace> strokes, Point start)
    {
        var again = new List<StrokePlace>();
        var nearest = double.MaxValue;
        for (var i = 0; i + 1 < strokes.Count; i++)
        {
            var away = Middle(strokes[i]).DistanceTo(start);
            nearest = Math.Min(nearest, away);
            if (away > nearest && away >= StitchDefaults.ClosingOverlap)
            {
                break;
            }
            again.Add(
                new StrokePlace(
                    Point.Lerp(strokes[i].Outer, strokes[i + 1].Outer, 0.5),
                    Point.Lerp(strokes[i].Inner, strokes[i + 1].Inner, 0.5)
                )
            );
        }
        return again;
    }

    private static Point Middle(StrokePlace place) => Point.Lerp(place.Outer, place.Inner, 0.5);
}
