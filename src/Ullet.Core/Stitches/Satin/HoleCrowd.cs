using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>Knows whether a needle point would stand among too many others.</summary>
/// <param name="chain">The needle points.</param>
/// <param name="needleLimit">How many a disc may hold.</param>
internal sealed class HoleCrowd(NeedleChain chain, int needleLimit)
{
    private const double Disc = 0.5;

    /// <summary>Discs are tried about the middle of two needle points each; the fullest one may lie between.</summary>
    private const int Margin = 1;

    private readonly List<Point> _near = [];
    private readonly int _most = needleLimit - Margin;

    /// <summary>True when a disc with a needle point in it would hold too many.</summary>
    /// <param name="to">Where the point would stand, mm.</param>
    /// <param name="number">Its number.</param>
    /// <param name="around">The numbers of all that may stand near.</param>
    internal bool IsAt(Point to, int number, List<int> around)
    {
        _near.Clear();
        _near.Add(to);
        foreach (var i in around)
        {
            if (i != number && IsWithin(chain[i], to, 2 * Disc))
            {
                _near.Add(chain[i]);
            }
        }
        return _near.Count > _most && _near.Exists(other => CountAbout(Point.Lerp(to, other, 0.5)) > _most);
    }

    private int CountAbout(Point centre)
    {
        var count = 0;
        foreach (var place in _near)
        {
            count += IsWithin(place, centre, Disc) ? 1 : 0;
        }
        return count;
    }

    private static bool IsWithin(Point place, Point centre, double distance)
    {
        var away = place - centre;
        return Point.Dot(away, away) <= distance * distance;
    }
}
