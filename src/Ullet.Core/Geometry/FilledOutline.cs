using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>Which places closed lines enclose, where they lie in or across one another (as SVG and PDF define it).</summary>
public enum FillRule
{
    /// <summary>Whatever a line goes round more often one way than the other.</summary>
    NonZero,

    /// <summary>Whatever an odd number of lines lies around.</summary>
    EvenOdd,
}

/// <summary>Closed lines to an outline of shells and holes.</summary>
public static class FilledOutline
{
    /// <summary>Rings flatter than this enclose nothing, mm.</summary>
    private const double Flat = 1e-6;

    /// <summary>Lines that cross each other more often than this are a tangle that nobody cuts or sews.</summary>
    public const int MostCrossings = 5_000;

    /// <summary>The outline that closed lines enclose.</summary>
    /// <param name="contours">Closed lines in any direction, mm; they may cross themselves and each other.</param>
    /// <param name="rule">What counts as inside.</param>
    /// <returns>All lines keep their own curves, cut where lines cross. Empty when nothing is enclosed, and for a tangle
    /// (<see cref="IsTangle"/>).</returns>
    public static Outline Of(IEnumerable<Contour> contours, FillRule rule)
    {
        var lines = contours
            .Select(contour => new Line(contour, contour.Flatten()))
            .Where(line => line.Ring.Points.Length > 2 && Math.Min(line.Box.Width, line.Box.Height) > Flat)
            .ToList();
        return lines.Count == 0 ? Outline.Empty
            : Crossings.AreFree(lines.Select(line => line.Ring)) ? Nested(lines, rule)
            : Crossings.AreMoreThan(MostCrossings, lines.Select(line => line.Ring)) ? Outline.Empty
            : Fitted(lines, rule);
    }

    /// <summary>True for lines that cross themselves and each other more than <see cref="MostCrossings"/> times.</summary>
    public static bool IsTangle(IEnumerable<Contour> contours) =>
        Crossings.AreMoreThan(
            MostCrossings,
            contours.Select(contour => contour.Flatten()).Where(ring => ring.Points.Length > 2)
        );

    /// <summary>Outlines laid over each other, as one: parts that overlap are joined, others keep their curves.</summary>
    public static Outline Joined(IReadOnlyList<Outline> outlines)
    {
        var boxes = outlines.Select(outline => outline.Bounds()).ToList();
        Budget.SpendAhead((double)boxes.Count * boxes.Count);
        var meets = outlines.Where(
            (_, i) => boxes.Where((other, j) => j != i && other.Grown(Tolerance.Quantum).Overlaps(boxes[i])).Any()
        );
        var joined = Of(meets.SelectMany(outline => outline.Contours), FillRule.NonZero);
        var alone = outlines.Where(
            (_, i) => !boxes.Where((other, j) => j != i && other.Grown(Tolerance.Quantum).Overlaps(boxes[i])).Any()
        );
        return new Outline([.. alone.SelectMany(outline => outline.Parts), .. joined.Parts]);
    }

    /// <summary>Shells and holes of lines that do not meet: a line bounds what is filled when the rule tells its two sides apart.</summary>
    private static Outline Nested(List<Line> lines, FillRule rule)
    {
        var shells = new List<(Line Line, List<Contour> Holes)>();
        var holes = new List<Line>();
        foreach (var line in lines)
        {
            Budget.Spend(lines.Count);
            var outside = lines
                .Where(other =>
                    other != line && other.Box.Contains(line.Box) && IsInside(line.Ring.Points[0], other.Ring)
                )
                .Sum(other => other.Sense);
            var (without, within) = (IsFilled(outside, rule), IsFilled(outside + line.Sense, rule));
            if (!without && within)
            {
                shells.Add((line, []));
            }
            else if (without && !within)
            {
                holes.Add(line);
            }
        }
        foreach (var hole in holes)
        {
            Budget.Spend(shells.Count);
            var around = shells
                .Where(shell => shell.Line.Box.Contains(hole.Box) && IsInside(hole.Ring.Points[0], shell.Line.Ring))
                .MinBy(shell => shell.Line.Encloses);
            around.Holes?.Add(hole.Contour.Oriented(clockwise: false));
        }
        return new Outline([
            .. shells.Select(shell => new OutlinePart(shell.Line.Contour.Oriented(clockwise: true), [.. shell.Holes])),
        ]);
    }

    private static Outline Fitted(List<Line> lines, FillRule rule)
    {
        var regions = Crossings.Faces(
            [.. lines.Select(line => line.Ring)],
            place => IsFilled(lines.Sum(line => line.Box.Contains(place) ? line.Ring.Winding(place) : 0), rule)
        );
        var memory = new CurveMemory(lines.Select(line => line.Contour.Curves));
        return new Outline([
            .. regions.Select(region => new OutlinePart(
                memory.Restore(region.Shell),
                [.. region.Holes.Select(hole => memory.Restore(hole))]
            )),
        ]);
    }

    private static bool IsFilled(int winding, FillRule rule) =>
        rule == FillRule.NonZero ? winding != 0 : winding % 2 != 0;

    private static bool IsInside(Point place, Ring ring) => ring.Winding(place) != 0;

    private sealed record Line(Contour Contour, Ring Ring)
    {
        internal Box Box { get; } = Ring.Bounds();

        internal double Encloses { get; } = Math.Abs(Ring.SignedArea);

        internal int Sense { get; } = Math.Sign(Ring.SignedArea);
    }
}
