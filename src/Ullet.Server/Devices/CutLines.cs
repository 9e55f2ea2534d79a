using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.CutFiles;
using Ullet.Server.Scenes;

namespace Ullet.Server.Devices;

/// <summary>A line as the stand-in cutter lays it on its mat.</summary>
internal sealed class MatLine
{
    internal MatLine(CutLine source)
    {
        Source = source;
        Ring = source.Contour.Flatten(0.02);
        Box = source.Contour.Bounds();
        Area = Math.Abs(Ring.SignedArea);
        Way = new OpenPath(source.Contour.Curves).Flatten(0.02);
        Length = Enumerable.Range(1, Way.Count - 1).Sum(i => Way[i].DistanceTo(Way[i - 1]));
    }

    internal CutLine Source { get; }

    internal Ring Ring { get; }

    internal Box Box { get; }

    /// <summary>What it encloses, holes not left out, mm².</summary>
    internal double Area { get; }

    /// <summary>The way of the blade: the contour's points from its start, and back to it when closed.</summary>
    internal IReadOnlyList<Point> Way { get; }

    internal double Length { get; }

    /// <summary>The smallest line that goes round it; null for none.</summary>
    internal MatLine? Holder { get; set; }

    /// <summary>How many lines go round it.</summary>
    internal int Depth { get; set; }

    /// <summary>What the lines inside it enclose, mm².</summary>
    internal double Inside { get; set; }

    internal Point Start => Source.Contour.Curves[0].Start;

    /// <summary>Only what the blade goes round comes free.</summary>
    internal bool Frees => Source is { IsClosed: true, Role: CutRole.Cut };

    internal string Path =>
        PathText.Of(
            Source.IsClosed
                ? new Outline([new OutlinePart(Source.Contour, [])])
                : new Outline([]) { Lines = [new OpenPath(Source.Contour.Curves)] }
        );
}

/// <summary>The lines of a cut file on the mat: each once, and what lies in what.</summary>
internal static class CutLines
{
    /// <summary>Lines that lie nearer than this all along are one line, mm: a blade can't tell them apart.</summary>
    private const double Same = 0.05;

    /// <summary>The file's lines on the mat, without those that lie on another one.</summary>
    /// <returns>The lines, and how many were left out.</returns>
    internal static (List<MatLine> Lines, int Doubled) Once(CutFile file, Affine map)
    {
        var lines = new List<MatLine>();
        var known = new Dictionary<(CutRole, bool, long, long), List<MatLine>>();
        var doubled = 0;
        foreach (var source in file.Lines)
        {
            Budget.Spend();
            var line = new MatLine(source with { Contour = source.Contour.Transform(map) });
            if (Cells(line).Any(cell => known.GetValueOrDefault(cell)?.Exists(other => AreOne(line, other)) == true))
            {
                doubled++;
                continue;
            }
            lines.Add(line);
            var own = Cell(line, 0, 0);
            (known.TryGetValue(own, out var list) ? list : known[own] = []).Add(line);
        }
        return (lines, doubled);
    }

    /// <summary>Finds for every line that frees something the smallest one that goes round it.</summary>
    internal static void Nest(IReadOnlyList<MatLine> lines)
    {
        // From the smallest: the first larger one that holds a line is the smallest that does. Of equal ones none holds the other
        // twice round, so no line holds itself by way of others.
        var bySize = lines.Where(line => line.Frees).OrderBy(line => line.Area).ToArray();
        for (var i = 0; i < bySize.Length; i++)
        {
            for (var next = i + 1; next < bySize.Length && bySize[i].Holder is null; next++)
            {
                Budget.Spend();
                if (
                    bySize[next].Box.Contains(bySize[i].Box)
                    && bySize[next].Ring.Winding(bySize[i].Ring.Points[0]) != 0
                )
                {
                    bySize[i].Holder = bySize[next];
                    bySize[next].Inside += bySize[i].Area;
                }
            }
        }
        for (var i = bySize.Length - 1; i >= 0; i--)
        {
            bySize[i].Depth = bySize[i].Holder is { } holder ? holder.Depth + 1 : 0;
        }
    }

    private static bool AreOne(MatLine a, MatLine b)
    {
        Budget.Spend();
        return Math.Abs(a.Length - b.Length) <= Same * (2 + (a.Length / 50))
            && Far(a.Box, b.Box) <= Same
            && LiesOn(a, b)
            && LiesOn(b, a);
    }

    private static double Far(Box a, Box b) =>
        Math.Max(
            Math.Max(Math.Abs(a.MinX - b.MinX), Math.Abs(a.MaxX - b.MaxX)),
            Math.Max(Math.Abs(a.MinY - b.MinY), Math.Abs(a.MaxY - b.MaxY))
        );

    private static bool LiesOn(MatLine a, MatLine b)
    {
        var along = new ArcLength([.. b.Way]);
        return a.Way.All(place => along.At(along.Of(place)).DistanceTo(place) <= Same);
    }

    /// <summary>The cell of the corner of a line's box, and those beside it: a line that is the same lies in one of them.</summary>
    private static IEnumerable<(CutRole, bool, long, long)> Cells(MatLine line) =>
        from x in Beside
        from y in Beside
        select Cell(line, x, y);

    private static readonly long[] Beside = [-1, 0, 1];

    private static (CutRole, bool, long, long) Cell(MatLine line, long right, long down) =>
        (
            line.Source.Role,
            line.Source.IsClosed,
            (long)Math.Floor(line.Box.MinX) + right,
            (long)Math.Floor(line.Box.MinY) + down
        );
}
