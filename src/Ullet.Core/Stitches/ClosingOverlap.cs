using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The strokes that a closed cover sews again over its start.</summary>
internal static class ClosingOverlap
{
    /// <summary>The first strokes, as far as <see cref="StitchDefaults.ClosingOverlap"/> along the edge.</summary>
    internal static List<StrokePlace> Of(IReadOnlyList<StrokePlace> strokes)
    {
        var again = new List<StrokePlace>();
        var travelled = 0.0;
        for (var i = 0; i < strokes.Count && travelled < StitchDefaults.ClosingOverlap; i++)
        {
            again.Add(strokes[i]);
            if (i > 0)
            {
                travelled += Middle(strokes[i]).DistanceTo(Middle(strokes[i - 1]));
            }
        }
        return again;
    }

    private static Point Middle(StrokePlace place) => Point.Lerp(place.Outer, place.Inner, 0.5);
}
