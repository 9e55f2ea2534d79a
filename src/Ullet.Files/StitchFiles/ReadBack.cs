using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Files.StitchLists;

namespace Ullet.Files.StitchFiles;

/// <summary>Holds what was read back against the program that was written.</summary>
internal static class ReadBack
{
    internal static string? Differs(StitchProgram program, Result<ImmutableArray<SewnStep>> read)
    {
        if (!read.IsOk)
        {
            return read.Refusal!.Words;
        }
        // A step without a needle point leaves no trace in a format that lists them.
        var written = SewnStep.Of(program).Where(LeavesATrace).ToList();
        var back = read.Value.Where(LeavesATrace).ToList();
        return written.Count == back.Count && written.Zip(back).All(pair => Same(pair.First, pair.Second))
            ? null
            : "what is sewn differs";
    }

    private static bool LeavesATrace(SewnStep step) => !step.Commands.IsEmpty || step.StopAfter;

    private static bool Same(SewnStep a, SewnStep b) =>
        (a.Step, a.Block, a.Thread, a.StopAfter) == (b.Step, b.Block, b.Thread, b.StopAfter)
        && a.Commands.Length == b.Commands.Length
        && a.Commands.Zip(b.Commands).All(pair => Same(pair.First, pair.Second));

    private static bool Same(NeedleCommand a, NeedleCommand b) =>
        a.Kind == b.Kind && (a.Kind == NeedleKind.Trim || a.At.DistanceTo(b.At) < StitchListFormat.Grid / 2);
}
