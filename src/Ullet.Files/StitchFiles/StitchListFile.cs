using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Files.StitchLists;

namespace Ullet.Files.StitchFiles;

/// <summary>The stitch list, with hand steps and layers; docs/formats/stitch-list.md.</summary>
internal sealed class StitchListFile : IStitchFormat
{
    public string Ending => "ulst";

    public string MediaType => "text/plain; charset=utf-8";

    public string Name => "stitch list";

    public string About => "What the machine sews and what hands do in between, with the layers; as text";

    public byte[] Write(StitchProgram program) => StitchListWriter.Write(program);

    public Result<ImmutableArray<SewnStep>> Read(ReadOnlySpan<byte> file) =>
        StitchListReader.Read(file).Then(program => (Result<ImmutableArray<SewnStep>>)SewnStep.Of(program));

    /// <summary>Beside what is sewn it holds keys and what hands do; one reading serves both.</summary>
    public string? Differs(StitchProgram program, byte[] file)
    {
        var read = StitchListReader.Read(file);
        var sewn = read.Then(back => (Result<ImmutableArray<SewnStep>>)SewnStep.Of(back));
        if (ReadBack.Differs(program, sewn) is { } how)
        {
            return how;
        }
        var steps = program.Steps.Zip(read.Value.Steps).ToList();
        var at = steps.FindIndex(pair => !Same(pair.First, pair.Second));
        return program.Steps.Length != read.Value.Steps.Length ? "it has another number of steps"
            : at < 0 ? null
            : $"step {at + 1} differs";
    }

    private static bool Same(ProgramStep written, ProgramStep read) =>
        (written, read) switch
        {
            (ProgramStitches a, ProgramStitches b) => a.Key == b.Key,
            (ProgramHands a, ProgramHands b) => (a.Key, a.Kind, a.Text, a.Warning, a.Check, a.Note)
                == (b.Key, b.Kind, b.Text, b.Warning, b.Check, b.Note)
                && a.Changes.Length == b.Changes.Length,
            _ => false,
        };
}
