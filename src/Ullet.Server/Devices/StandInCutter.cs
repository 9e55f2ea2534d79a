using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.CutFiles;
using Ullet.Server.Scenes;

namespace Ullet.Server.Devices;

/// <summary>What the cutter did with a cut file; from the file alone. mm from the mat's top left.</summary>
/// <param name="Width">Page width.</param>
/// <param name="Height">Page height.</param>
/// <param name="Cloth">The cloth that the file says it is for; null when it does not say.</param>
/// <param name="Mirrored">Why the file is mirrored already; null when it is not.</param>
/// <param name="Warnings">What the device says before it begins, a sentence each.</param>
/// <param name="Frame">The box that the blade goes round first, blade up.</param>
/// <param name="IsOnMat">True when the frame lies on the mat.</param>
/// <param name="Lines">Every line in the order in which it is cut.</param>
/// <param name="Lifts">How often the blade is lifted.</param>
/// <param name="CutLength">Way with the blade down, mm.</param>
/// <param name="TravelLength">Way with the blade up, mm, the frame left out.</param>
/// <param name="Seconds">How long it takes.</param>
/// <param name="IsThrough">True when the blade goes through the cloth everywhere.</param>
/// <param name="Reached">How deep the lines are cut now, mm.</param>
/// <param name="Words">What the depth came to, in a sentence.</param>
/// <param name="Freed">What comes free, in the order in which it does; nothing while the cloth still holds it.</param>
/// <param name="Held">What is cut round, but not through.</param>
public sealed record DryRun(
    double Width,
    double Height,
    string? Cloth,
    string? Mirrored,
    ImmutableArray<string> Warnings,
    SizeDto Frame,
    bool IsOnMat,
    ImmutableArray<DryRunLine> Lines,
    int Lifts,
    double CutLength,
    double TravelLength,
    double Seconds,
    bool IsThrough,
    double Reached,
    string Words,
    ImmutableArray<FreedShape> Freed,
    ImmutableArray<FreedShape> Held
);

/// <param name="Name">The line's name in the file.</param>
/// <param name="Role">Cut, drawn with the pen, or scored.</param>
/// <param name="Path">SVG path data, mm.</param>
/// <param name="Length">mm.</param>
/// <param name="IsClosed">False for an open line, which frees nothing.</param>
/// <param name="Points">The way of the blade, flat x, y, x, y, mm.</param>
public sealed record DryRunLine(
    string Name,
    CutRole Role,
    string Path,
    double Length,
    bool IsClosed,
    ImmutableArray<double> Points
);

/// <param name="Name">Name of the line that frees it.</param>
/// <param name="Width">mm.</param>
/// <param name="Height">mm.</param>
/// <param name="Area">mm², without what was cut out of it.</param>
/// <param name="IsWaste">True when it falls out of a larger shape: a hole's inside.</param>
/// <param name="After">Way of the blade when it comes free, mm.</param>
public sealed record FreedShape(string Name, double Width, double Height, double Area, bool IsWaste, double After);

/// <summary>The stand-in for a fabric cutter: inner lines before outer ones, nearest first; the pen before the blade.</summary>
public static class StandInCutter
{
    /// <summary>Blade speed in cloth, mm/s.</summary>
    private const double CutSpeed = 60;

    private const double TravelSpeed = 150;

    private const double LiftSeconds = 0.4;

    /// <summary>The most lines of one file.</summary>
    internal const int MostLines = 20_000;

    /// <summary>True for the formats whose files it can run.</summary>
    public static bool Runs(CutFormat format) => format is CutFormat.Svg or CutFormat.Dxf;

    public static DryRun Run(CutFile file, CutterSetup setup)
    {
        var place = Affine.Translate(setup.X ?? 0, setup.Y ?? 0);
        var map = setup.Mirror == true ? Affine.Scale(-1, 1).Then(Affine.Translate(file.Width, 0)).Then(place) : place;
        var (lines, doubled) = CutLines.Once(file, map);
        CutLines.Nest(lines);
        var frame = lines.Aggregate(Box.Empty, (box, line) => box.Union(line.Box));
        var ordered = Order(lines, new Point(frame.MinX, frame.MinY), out var travel);
        var passes = setup.Passes ?? 1;
        var cut = ordered.Sum(line => line.Length);
        var blade = setup.Blade;
        var shapes = Freed(ordered);
        var mat = new Box(0, 0, setup.MatWidth ?? double.MaxValue, setup.MatHeight ?? double.MaxValue);
        return new DryRun(
            file.Width,
            file.Height,
            file.Cloth,
            file.Mirrored,
            [.. Warnings(file, setup, mat.Contains(frame, 0.01), doubled)],
            new SizeDto(frame.MinX, frame.MinY, frame.Width, frame.Height),
            mat.Contains(frame, 0.01),
            [
                .. ordered.Select(line => new DryRunLine(
                    line.Source.Name,
                    line.Source.Role,
                    line.Path,
                    line.Length,
                    line.Source.IsClosed,
                    [.. line.Way.SelectMany(p => new[] { Math.Round(p.X, 2), Math.Round(p.Y, 2) })]
                )),
            ],
            ordered.Count,
            cut,
            travel,
            (cut * passes / (setup.Speed ?? CutSpeed))
                + (travel / TravelSpeed)
                + (ordered.Count * passes * LiftSeconds),
            blade.IsThrough,
            blade.Reached,
            blade.CutWords(),
            blade.IsThrough ? shapes : [],
            blade.IsThrough ? [] : shapes
        );
    }

    private static IEnumerable<string> Warnings(CutFile file, CutterSetup setup, bool onMat, int doubled)
    {
        if (setup.Mirror == true && file.Mirrored is { } why)
        {
            yield return $"This file is mirrored already ({why}), and the cutter is set to mirror it again: every shape would come out "
                + "the wrong way round. Switch one of the two off.";
        }
        if (doubled > 0)
        {
            yield return doubled == 1
                ? "One line lies on another one and is cut once."
                : $"{doubled:N0} lines lie on others and are cut once.";
        }
        if (!onMat)
        {
            yield return "The frame reaches past the mat. Move the material, or load a larger mat.";
        }
    }

    private static ImmutableArray<FreedShape> Freed(List<MatLine> ordered)
    {
        var freed = ImmutableArray.CreateBuilder<FreedShape>();
        var way = 0.0;
        foreach (var line in ordered)
        {
            way += line.Length;
            if (line.Frees)
            {
                freed.Add(Freed(line, way));
            }
        }
        return freed.ToImmutable();
    }

    /// <summary>The pen and the creasing tool go first: what is cut free moves. Then nearest first among the lines whose inner
    /// lines are all cut.</summary>
    private static List<MatLine> Order(List<MatLine> lines, Point at, out double travel)
    {
        var ordered = new List<MatLine>(lines.Count);
        travel = 0;
        foreach (var cuts in new[] { false, true })
        {
            var own = lines.Where(line => (line.Source.Role == CutRole.Cut) == cuts).ToList();
            var inner = own.ToDictionary(line => line, _ => 0);
            foreach (var line in own.Where(line => line.Holder is not null))
            {
                inner[line.Holder!]++;
            }
            var free = own.Where(line => inner[line] == 0).ToList();
            while (free.Count > 0)
            {
                var best = 0;
                Budget.Spend(1 + (free.Count / 8));
                for (var i = 1; i < free.Count; i++)
                {
                    best = free[i].Start.DistanceTo(at) < free[best].Start.DistanceTo(at) ? i : best;
                }
                var next = free[best];
                free[best] = free[^1];
                free.RemoveAt(free.Count - 1);
                travel += next.Start.DistanceTo(at);
                at = next.Source.IsClosed ? next.Start : next.Way[^1];
                ordered.Add(next);
                if (next.Holder is { } holder && --inner[holder] == 0)
                {
                    free.Add(holder);
                }
            }
        }
        return ordered;
    }

    private static FreedShape Freed(MatLine line, double way) =>
        new(line.Source.Name, line.Box.Width, line.Box.Height, line.Area - line.Inside, line.Depth % 2 == 1, way);
}
