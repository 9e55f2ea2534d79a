using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;

namespace Ullet.Files.StitchFiles;

/// <summary>A format of stitch files.</summary>
public interface IStitchFormat
{
    /// <summary>How its files end, without the full stop: "ulst".</summary>
    string Ending { get; }

    string MediaType { get; }

    /// <summary>What a person calls it.</summary>
    string Name { get; }

    /// <summary>What it is for, in a sentence.</summary>
    string About { get; }

    /// <summary>The program as a file.</summary>
    byte[] Write(StitchProgram program);

    /// <summary>What a file of this format has sewn, or why it can't be read.</summary>
    Result<ImmutableArray<SewnStep>> Read(ReadOnlySpan<byte> file);

    /// <summary>Says how a file differs from the program that it was written from when it is read back, or null.</summary>
    string? Differs(StitchProgram program, byte[] file) => ReadBack.Differs(program, Read(file));
}

/// <summary>A step that is sewn, as every format holds it.</summary>
/// <param name="Step">The step's number in the program, from 1.</param>
/// <param name="Block">The stop-safe block.</param>
/// <param name="Thread">The thread's number, from 1.</param>
/// <param name="StopAfter">True when the machine stops after it.</param>
/// <param name="Commands">Jumps, stitches and trims.</param>
public sealed record SewnStep(int Step, int Block, int Thread, bool StopAfter, ImmutableArray<NeedleCommand> Commands)
{
    /// <summary>The sewn steps of a program.</summary>
    public static ImmutableArray<SewnStep> Of(StitchProgram program) =>
        [
            .. program
                .Steps.Select((step, i) => (step as ProgramStitches, i + 1))
                .Where(pair => pair.Item1 is not null)
                .Select(pair => new SewnStep(
                    pair.Item2,
                    pair.Item1!.Block,
                    pair.Item1.Thread,
                    pair.Item1.StopAfter,
                    pair.Item1.Commands
                )),
        ];
}
