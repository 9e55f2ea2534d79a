using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>Needle points as one short text in a document: the way from each to the next in hundredths of a mm, base 64.</summary>
/// <remarks>A command is a number of which the two lowest bits say what it is and the others how far it goes across (zigzag, seven bits
/// a byte, the last byte first above 127); how far it goes down follows likewise, but for a trim.</remarks>
public static class NeedlePack
{
    /// <summary>Places are kept to this, mm.</summary>
    public const double Grid = 0.01;

    /// <summary>No place lies farther from the file's origin, mm.</summary>
    public const double Farthest = 10_000;

    public static string Pack(IReadOnlyList<OpenedPoint> points)
    {
        var bytes = new List<byte>(points.Count * 4);
        var (x, y) = (0L, 0L);
        foreach (var point in points)
        {
            Budget.Spend();
            if (point.Move == OpenedMove.Trim)
            {
                Put(bytes, (long)OpenedMove.Trim);
                continue;
            }
            var (toX, toY) = ((long)Math.Round(point.At.X / Grid), (long)Math.Round(point.At.Y / Grid));
            Put(bytes, (Folded(toX - x) << 2) | (long)point.Move);
            Put(bytes, Folded(toY - y));
            (x, y) = (toX, toY);
        }
        return Convert.ToBase64String([.. bytes]);
    }

    /// <summary>The points of a text; null when it is none.</summary>
    public static ImmutableArray<OpenedPoint>? Unpack(string text)
    {
        var bytes = new byte[(text.Length / 4 * 3) + 3];
        if (!Convert.TryFromBase64String(text, bytes, out var length))
        {
            return null;
        }
        var points = ImmutableArray.CreateBuilder<OpenedPoint>(length / 3);
        var (x, y, at) = (0L, 0L, 0);
        while (at < length)
        {
            Budget.Spend();
            if (Take(bytes, length, ref at) is not { } first || (first & 3) > (long)OpenedMove.Trim)
            {
                return null;
            }
            var move = (OpenedMove)(first & 3);
            if (move == OpenedMove.Trim)
            {
                points.Add(new OpenedPoint(move, PointOf(x, y)));
                continue;
            }
            if (Take(bytes, length, ref at) is not { } down)
            {
                return null;
            }
            (x, y) = (x + Unfolded(first >> 2), y + Unfolded(down));
            if (Math.Max(Math.Abs(x), Math.Abs(y)) > Farthest / Grid)
            {
                return null;
            }
            points.Add(new OpenedPoint(move, PointOf(x, y)));
        }
        return points.ToImmutable();
    }

    private static Point PointOf(long x, long y) => new(Math.Round(x * Grid, 2), Math.Round(y * Grid, 2));

    private static long Folded(long number) => (number << 1) ^ (number >> 63);

    private static long Unfolded(long folded) => (folded >> 1) ^ -(folded & 1);

    private static void Put(List<byte> bytes, long number)
    {
        while (number > 127)
        {
            bytes.Add((byte)((number & 127) | 128));
            number >>= 7;
        }
        bytes.Add((byte)number);
    }

    private static long? Take(byte[] bytes, int length, ref int at)
    {
        var (number, shift) = (0L, 0);
        while (at < length && shift < 42)
        {
            var next = bytes[at++];
            number |= (long)(next & 127) << shift;
            if (next < 128)
            {
                return number;
            }
            shift += 7;
        }
        return null;
    }
}
