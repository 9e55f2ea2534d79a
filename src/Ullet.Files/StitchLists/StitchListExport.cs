using Ullet.Core.Program;

namespace Ullet.Files.StitchLists;

/// <summary>Writes a stitch list and reads it back before it is handed out.</summary>
public static class StitchListExport
{
    /// <returns>The file's bytes.</returns>
    /// <exception cref="InvalidOperationException">When what was read back is not what was written: a fault of ours.</exception>
    public static byte[] Make(StitchProgram program)
    {
        var file = StitchListWriter.Write(program);
        var read = StitchListReader.Read(file);
        if (!read.IsOk)
        {
            throw new InvalidOperationException($"The stitch list can't be read back: {read.Refusal!.Words}");
        }
        for (var i = 0; i < program.Steps.Length; i++)
        {
            if (!Same(program.Steps[i], read.Value.Steps[i]))
            {
                throw new InvalidOperationException($"Step {i + 1} of the stitch list differs when it is read back.");
            }
        }
        return file;
    }

    private static bool Same(ProgramStep written, ProgramStep read) =>
        (written, read) switch
        {
            (ProgramStitches a, ProgramStitches b) => a.Key == b.Key
                && (a.Thread, a.Block, a.StopAfter) == (b.Thread, b.Block, b.StopAfter)
                && a.Commands.Length == b.Commands.Length
                && a.Commands.Zip(b.Commands).All(pair => Same(pair.First, pair.Second)),
            (ProgramHands a, ProgramHands b) => (a.Key, a.Kind, a.Text, a.Warning, a.Check, a.Note)
                == (b.Key, b.Kind, b.Text, b.Warning, b.Check, b.Note)
                && a.Changes.Length == b.Changes.Length,
            _ => false,
        };

    private static bool Same(NeedleCommand a, NeedleCommand b) =>
        a.Kind == b.Kind && (a.Kind == NeedleKind.Trim || a.At.DistanceTo(b.At) < StitchListFormat.Grid / 2);
}
