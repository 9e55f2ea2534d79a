using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Edits;

/// <summary>A line drawn round something by hand.</summary>
internal static class Lasso
{
    /// <summary>Most places of one.</summary>
    internal const int MostPlaces = 4_000;

    /// <summary>The area that it goes round, or why it goes round nothing.</summary>
    /// <param name="places">Across and down in turn, mm on the wall.</param>
    internal static Result<AreaIndex> Of(ImmutableArray<double> places)
    {
        if (places.IsDefault || places.Length < 6 || places.Length % 2 != 0 || places.Length > 2 * MostPlaces)
        {
            return new Refusal(
                "lasso-empty",
                "lasso",
                $"A lasso needs from 3 to {MostPlaces:N0} places; this one goes round nothing."
            );
        }
        if (places.Any(number => !double.IsFinite(number) || Math.Abs(number) > 10_000))
        {
            return new Refusal(
                "lasso-broken",
                "lasso",
                "A place of the lasso is no number, or lies more than 10 m away."
            );
        }
        var ring = Ring.Of([
            .. Enumerable.Range(0, places.Length / 2).Select(i => new Point(places[2 * i], places[(2 * i) + 1])),
        ]);
        return ring.Points.Length < 3
            ? new Refusal("lasso-empty", "lasso", "The lasso goes round nothing.")
            : new AreaIndex([new Region(ring, [])]);
    }
}
