namespace Ullet.Files.CutFiles;

/// <summary>A connected area of pixels of one colour.</summary>
internal readonly record struct PixelArea(bool IsBlack, int MinX, int MinY, int MaxX, int MaxY, bool TouchesBorder);

/// <summary>Finds connected areas by runs: black pixels join across corners, white ones do not.</summary>
internal static class PixelAreas
{
    internal static List<PixelArea> Of(bool[] black, int width, int height)
    {
        var parents = new List<int>();
        var areas = new List<PixelArea>();
        var above = new List<(int From, int To, int Area)>();
        for (var y = 0; y < height; y++)
        {
            var row = new List<(int From, int To, int Area)>();
            for (var from = 0; from < width; )
            {
                var colour = black[(y * width) + from];
                var to = from;
                while (to + 1 < width && black[(y * width) + to + 1] == colour)
                {
                    to++;
                }
                var border = y == 0 || y == height - 1 || from == 0 || to == width - 1;
                areas.Add(new PixelArea(colour, from, y, to, y, border));
                parents.Add(areas.Count - 1);
                row.Add((from, to, areas.Count - 1));
                from = to + 1;
            }
            Join(above, row, parents, areas);
            above = row;
        }
        return [.. areas.Where((_, i) => parents[i] == i)];
    }

    private static void Join(
        List<(int From, int To, int Area)> above,
        List<(int From, int To, int Area)> row,
        List<int> parents,
        List<PixelArea> areas
    )
    {
        var first = 0;
        foreach (var (from, to, area) in row)
        {
            var reach = areas[area].IsBlack ? 1 : 0;
            while (first < above.Count && above[first].To < from - 1)
            {
                first++;
            }
            for (var i = first; i < above.Count && above[i].From <= to + reach; i++)
            {
                if (above[i].To >= from - reach && areas[above[i].Area].IsBlack == areas[area].IsBlack)
                {
                    Union(Root(above[i].Area, parents), Root(area, parents), parents, areas);
                }
            }
        }
    }

    private static int Root(int area, List<int> parents)
    {
        while (parents[area] != area)
        {
            parents[area] = parents[parents[area]];
            area = parents[area];
        }
        return area;
    }

    private static void Union(int first, int second, List<int> parents, List<PixelArea> areas)
    {
        if (first == second)
        {
            return;
        }
        var (a, b) = (areas[first], areas[second]);
        areas[first] = new PixelArea(
            a.IsBlack,
            Math.Min(a.MinX, b.MinX),
            Math.Min(a.MinY, b.MinY),
            Math.Max(a.MaxX, b.MaxX),
            Math.Max(a.MaxY, b.MaxY),
            a.TouchesBorder || b.TouchesBorder
        );
        parents[second] = first;
    }
}
