using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>How far a stroke may go from its foot before another part of the outline is nearer: up to the medial axis.</summary>
/// <remarks>The shrinking ball of J. Ma, S. W. Bae and S. Choi, "3D medial axis point approximation using nearest
/// neighbors and the normal field", The Visual Computer, 2012, in the plane and with exact feet on edges. Departure: a
/// ball counts as free while no edge enters it by more than <see cref="Slack"/> of its radius, so that the vertices of a
/// flattened curve are not taken for corners.</remarks>
internal sealed class MedialReach(IEdges edges)
{
    private const int MostRounds = 24;
    private const double LeastSlack = 0.02;
    private const double Slack = 0.02;

    /// <summary>A reach is guessed this much longer than its neighbour's, mm and share.</summary>
    private const double Guess = 0.1;

    /// <summary>The reach from a foot along a direction, at most a length, mm, and the edge point that stopped it.</summary>
    /// <param name="foot">A point of an edge.</param>
    /// <param name="direction">Across that edge, length 1.</param>
    /// <param name="most">The longest reach.</param>
    /// <param name="near">The reach of a neighbour; the ball is shrunk from a little more than that when that is not free.</param>
    internal (double Reach, Point? StoppedBy) Of(
        Point foot,
        Point direction,
        double most,
        double near = double.MaxValue
    )
    {
        var guess = (near * (1 + Guess)) + Guess;
        if (guess < most && Shrunk(foot, direction, guess) is { StoppedBy: not null } found)
        {
            return Uncrossed(foot, direction, found);
        }
        return Uncrossed(foot, direction, Shrunk(foot, direction, most));
    }

    /// <summary>Where two edges all but touch, the other lies within the slack of any ball; but no stroke goes across it.</summary>
    private (double Reach, Point? StoppedBy) Uncrossed(
        Point foot,
        Point direction,
        (double Reach, Point? StoppedBy) found
    ) =>
        edges.FirstCrossing(foot, direction, found.Reach) is { } crossing
            ? (crossing / 2, foot + (direction * crossing))
            : found;

    private (double Reach, Point? StoppedBy) Shrunk(Point foot, Point direction, double most)
    {
        var reach = most;
        Point? stop = null;
        for (var round = 0; round < MostRounds && reach > 1e-4; round++)
        {
            Budget.Spend();
            var within = reach - LeastSlack - (Slack * reach);
            if (within <= 0 || edges.Nearest(foot + (direction * reach), within) is not { } other)
            {
                break;
            }
            var to = other - foot;
            var along = Point.Dot(to, direction);
            if (along < 1e-9)
            {
                break;
            }
            var smaller = Point.Dot(to, to) / (2 * along);
            if (smaller >= reach - 1e-6)
            {
                break;
            }
            (reach, stop) = (Math.Max(smaller, 0), other);
        }
        return (reach, stop);
    }

    /// <summary>Cuts a stroke that starts near a corner where another edge is nearer than the corner.</summary>
    internal Point ClipBeyondCorner(Point corner, Point low, Point high)
    {
        if (IsNearest(corner, high))
        {
            return high;
        }
        var (kept, lost) = (0.0, 1.0);
        for (var i = 0; i < 12; i++)
        {
            var middle = (kept + lost) / 2;
            (kept, lost) = IsNearest(corner, Point.Lerp(low, high, middle)) ? (middle, lost) : (kept, middle);
        }
        return Point.Lerp(low, high, kept);
    }

    private bool IsNearest(Point corner, Point place)
    {
        var distance = place.DistanceTo(corner);
        var within = distance - LeastSlack - (Slack * distance);
        return within <= 0 || edges.Nearest(place, within) is null;
    }
}
