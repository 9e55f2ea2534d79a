using System.Buffers.Binary;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Outlines;

/// <summary>Names an outline by its own curves, to a millionth of a mm.</summary>
public static class OutlineHash
{
    private const double Step = 1e-6;

    public static ContentHash Of(Outline outline)
    {
        var numbers = new List<long>();
        foreach (var part in outline.Parts)
        {
            numbers.Add(part.Holes.Length);
            foreach (var contour in part.Contours)
            {
                Add(numbers, contour.Curves);
            }
        }
        foreach (var line in outline.Lines)
        {
            Add(numbers, line.Curves);
        }
        var bytes = new byte[numbers.Count * sizeof(long)];
        for (var i = 0; i < numbers.Count; i++)
        {
            BinaryPrimitives.WriteInt64LittleEndian(bytes.AsSpan(i * sizeof(long)), numbers[i]);
        }
        return ContentHash.OfBytes(bytes);
    }

    private static void Add(List<long> numbers, IReadOnlyList<Curve> curves)
    {
        numbers.Add(curves.Count);
        foreach (var curve in curves)
        {
            Budget.Spend();
            numbers.Add(curve.IsLine ? 1 : 0);
            foreach (var point in new[] { curve.Start, curve.Control1, curve.Control2, curve.End })
            {
                numbers.Add((long)Math.Round(point.X / Step));
                numbers.Add((long)Math.Round(point.Y / Step));
            }
        }
    }
}
