using System.Collections.Immutable;
using Ullet.Core.Program;
using Ullet.Files.StitchLists;

namespace Ullet.Files.StitchFiles;

/// <summary>The stitch formats that there are; every file is read back before it is handed out.</summary>
public static class StitchFormats
{
    public static readonly ImmutableArray<IStitchFormat> All = [new StitchListFile(), new CsvStitchFile()];

    /// <summary>The format whose files end so; null for none.</summary>
    public static IStitchFormat? Find(string ending) => All.FirstOrDefault(format => format.Ending == ending);

    /// <summary>The program as a file that comes back as it was meant.</summary>
    /// <exception cref="InvalidOperationException">When what was read back is not what was written: a fault of ours.</exception>
    public static byte[] Make(IStitchFormat format, StitchProgram program)
    {
        var file = format.Write(program);
        var read = format.Read(file);
        if (!read.IsOk)
        {
            throw new InvalidOperationException($"The {format.Name} can't be read back: {read.Refusal!.Words}");
        }
        var (written, back) = (SewnStep.Of(program), read.Value);
        // A step without a needle point leaves no trace in a format that lists them.
        written = [.. written.Where(step => !step.Commands.IsEmpty || step.StopAfter)];
        back = [.. back.Where(step => !step.Commands.IsEmpty || step.StopAfter)];
        return written.Length == back.Length && written.Zip(back).All(pair => Same(pair.First, pair.Second))
            ? file
            : throw new InvalidOperationException($"The {format.Name} differs when it is read back.");
    }

    private static bool Same(SewnStep a, SewnStep b) =>
        (a.Step, a.Block, a.Thread, a.StopAfter) == (b.Step, b.Block, b.Thread, b.StopAfter)
        && a.Commands.Length == b.Commands.Length
        && a.Commands.Zip(b.Commands).All(pair => Same(pair.First, pair.Second));

    private static bool Same(NeedleCommand a, NeedleCommand b) =>
        a.Kind == b.Kind && (a.Kind == NeedleKind.Trim || a.At.DistanceTo(b.At) < StitchListFormat.Grid / 2);
}
