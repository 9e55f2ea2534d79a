using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Turns a column's strokes where direction lines lie across it.</summary>
internal static class StrokeTurns
{
    /// <summary>Strokes lean by at most so much, degrees: beyond, they would run along the column.</summary>
    private const double Most = 60;

    /// <summary>A spine whose directions are turned; itself where no line crosses it. Between two lines strokes turn evenly, beyond the
    /// last they keep its lean.</summary>
    internal static ColumnSpine Turned(ColumnSpine spine, ImmutableArray<StrokeDirection> lines)
    {
        var leans = new List<(int At, double Lean)>();
        foreach (var line in lines)
        {
            if (Crossing(spine, line) is { } at)
            {
                leans.Add((at, Lean(spine.Tangents[at].Outward(), line.To - line.From)));
            }
        }
        if (leans.Count == 0)
        {
            return spine;
        }
        leans.Sort((one, two) => one.At.CompareTo(two.At));
        var turned = new Point[spine.Tangents.Length];
        for (var i = 0; i < turned.Length; i++)
        {
            Budget.Spend();
            turned[i] = Rotated(spine.Tangents[i], LeanAt(leans, i));
        }
        return spine with { Tangents = turned };
    }

    private static int? Crossing(ColumnSpine spine, StrokeDirection line)
    {
        for (var i = 1; i < spine.Points.Length; i++)
        {
            Budget.Spend();
            var (a, b) = (spine.Points[i - 1], spine.Points[i]);
            var (along, across) = (line.To - line.From, b - a);
            if (
                Point.Cross(along, a - line.From) > 0 != Point.Cross(along, b - line.From) > 0
                && Point.Cross(across, line.From - a) > 0 != Point.Cross(across, line.To - a) > 0
            )
            {
                return i;
            }
        }
        return null;
    }

    /// <summary>The turn from the usual direction of a stroke to a line's, whichever way the line was drawn, degrees.</summary>
    private static double Lean(Point usual, Point line)
    {
        var turn = Point.Turn(usual, line);
        turn =
            turn > 90 ? turn - 180
            : turn < -90 ? turn + 180
            : turn;
        return Math.Clamp(turn, -Most, Most);
    }

    private static double LeanAt(List<(int At, double Lean)> leans, int i)
    {
        var next = leans.FindIndex(lean => lean.At >= i);
        if (next <= 0)
        {
            return next == 0 ? leans[0].Lean : leans[^1].Lean;
        }
        var (one, two) = (leans[next - 1], leans[next]);
        return one.Lean + ((two.Lean - one.Lean) * (i - one.At) / Math.Max(1, two.At - one.At));
    }

    private static Point Rotated(Point direction, double degrees)
    {
        var (sin, cos) = Math.SinCos(degrees * Math.PI / 180);
        return new Point((direction.X * cos) - (direction.Y * sin), (direction.X * sin) + (direction.Y * cos));
    }
}
