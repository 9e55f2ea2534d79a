using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The strokes that a closed cover sews again over its start.</summary>
internal static class ClosingOverlap
{
    /// <summary>Strokes halfway between the first ones, as far as <see cref="StitchDefaults.ClosingOverlap"/> along the edge;
    /// between, so that the needle does not enter the same holes again.</summary>
    internal static List<StrokePlace> Of(IReadOnlyList<StrokePlace> strokes)
    {
        var again = new List<StrokePlace>();
        var travelled = 0.0;
        for (var i = 0; i + 1 < strokes.Count && travelled < StitchDefaults.ClosingOverlap; i++)
        {
            again.Add(
                new StrokePlace(
                    Point.Lerp(strokes[i].Outer, strokes[i + 1].Outer, 0.5),
                    Point.Lerp(strokes[i].Inner, strokes[i + 1].Inner, 0.5)
                )
            );
            travelled += Middle(strokes[i]).DistanceTo(Middle(strokes[i + 1]));
        }
        return again;
    }

    private static Point Middle(StrokePlace place) => Point.Lerp(place.Outer, place.Inner, 0.5);
}
