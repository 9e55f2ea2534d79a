namespace Ullet.Core.Geometry;

/// <summary>Where a form balances: its optical middle.</summary>
public static class Balance
{
    /// <summary>The centre of gravity of an outline's area, holes left out; of its lines where it has no area; null of nothing.</summary>
    public static Point? Of(Outline outline)
    {
        var (area, sum) = (0.0, Point.Zero);
        foreach (var ring in outline.Flatten().SelectMany(region => region.Rings))
        {
            var from = ring.Points[^1];
            foreach (var to in ring.Points)
            {
                var twice = (from.X * to.Y) - (to.X * from.Y);
                area += twice / 2;
                sum += (from + to) * (twice / 6);
                from = to;
            }
        }
        return Math.Abs(area) > 1e-9 ? sum * (1 / area) : OfLines(outline);
    }

    private static Point? OfLines(Outline outline)
    {
        var (length, sum) = (0.0, Point.Zero);
        foreach (var line in outline.Lines.Select(line => line.Flatten()))
        {
            for (var i = 1; i < line.Length; i++)
            {
                var step = line[i - 1].DistanceTo(line[i]);
                length += step;
                sum += (line[i - 1] + line[i]) * (step / 2);
            }
        }
        return length > 1e-9 ? sum * (1 / length) : null;
    }
}
