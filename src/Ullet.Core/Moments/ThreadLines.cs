using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;

namespace Ullet.Core.Moments;

/// <summary>Stitches as few lines that show them: a run as its line, dense thread by some of its strokes.</summary>
internal static class ThreadLines
{
    /// <summary>A run may be drawn so far beside its stitches, mm.</summary>
    private const double Beside = 0.25;

    /// <summary>Most places that the thread of one step is drawn with.</summary>
    internal const int Most = 220;

    /// <summary>The lines of a step's own stitches, without the way there.</summary>
    internal static ImmutableArray<ImmutableArray<Point>> Of(ProgramStitches step)
    {
        var lines = Runs(step).ToList();
        var plain = lines.ConvertAll(line => line.Length > 2 ? [.. PlaneGeometry.Simplified(line, Beside)] : line);
        var count = plain.Sum(line => line.Length);
        return count <= Most ? [.. plain] : Strokes(lines);
    }

    /// <summary>The stitches as they are, broken where the thread is cut or jumps.</summary>
    internal static IEnumerable<ImmutableArray<Point>> Runs(ProgramStitches step)
    {
        var skipped = step.Roles.TakeWhile(role => role == NeedleRole.Travel).Count();
        var line = ImmutableArray.CreateBuilder<Point>();
        foreach (var command in step.Commands.Skip(skipped))
        {
            Budget.Spend();
            if (command.Kind == NeedleKind.Stitch)
            {
                line.Add(command.At);
                continue;
            }
            if (line.Count > 1)
            {
                yield return line.ToImmutable();
            }
            line.Clear();
        }
        if (line.Count > 1)
        {
            yield return line.ToImmutable();
        }
    }

    /// <summary>Single strokes, evenly out of all.</summary>
    private static ImmutableArray<ImmutableArray<Point>> Strokes(List<ImmutableArray<Point>> lines)
    {
        var all = lines.Sum(line => line.Length - 1);
        // An odd stride keeps both slants of a zigzag.
        var stride = Math.Max(1, 2 * all / Most) | 1;
        var strokes = ImmutableArray.CreateBuilder<ImmutableArray<Point>>();
        var number = 0;
        foreach (var line in lines)
        {
            for (var i = 1; i < line.Length; i++, number++)
            {
                if (number % stride == 0)
                {
                    strokes.Add([line[i - 1], line[i]]);
                }
            }
        }
        return strokes.ToImmutable();
    }
}
