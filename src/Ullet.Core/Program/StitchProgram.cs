using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.Program;

/// <summary>What one hooping's stitch file says: threads, then stitch steps and hand steps in order.</summary>
public sealed record StitchProgram(
    string Title,
    string HoopingName,
    double FieldWidth,
    double FieldHeight,
    ImmutableArray<ProgramThread> Threads,
    ImmutableArray<ProgramStep> Steps
)
{
    /// <summary>What was found to stop an export that was made all the same, a sentence each.</summary>
    public ImmutableArray<string> Cautions { get; init; } = [];

    /// <summary>The short code of the state that it is made from, as booklet and card bear it; empty for a program read from a file.</summary>
    public string Code { get; init; } = "";

    /// <summary>About how many bytes it takes in memory.</summary>
    public long Bytes =>
        Steps.Sum(step =>
            Footprint.Thing + (step is ProgramStitches sewn ? CommandBytes * sewn.Commands.Length : TextBytes)
        );

    /// <summary>A command and its role.</summary>
    private const long CommandBytes = 28;

    private const long TextBytes = 2000;

    /// <summary>Needle points of all steps.</summary>
    public int StitchCount => Steps.OfType<ProgramStitches>().Sum(step => step.StitchCount);

    /// <summary>How often the machine stops for hands.</summary>
    public int StopCount => Steps.OfType<ProgramStitches>().Count(step => step.StopAfter);
}

/// <summary>A thread that the program uses, by its number in the program, from 1.</summary>
public sealed record ProgramThread(int Number, string Name, string Colour, ThreadKind Kind);

public abstract record ProgramStep(StepKey Key, string OwnerName);

/// <summary>A block that the machine sews.</summary>
/// <param name="Key">The run sheet's step.</param>
/// <param name="OwnerName">The element's name.</param>
/// <param name="Role">"placement", "tack-down", "cover".</param>
/// <param name="Thread">The thread's number in the program.</param>
/// <param name="Block">Stop-safe colour index from 1: it differs from the block before whenever the thread changes or hands
/// come between, so that a machine which only knows colours stops as well.</param>
/// <param name="StopAfter">True when hands are needed next.</param>
/// <param name="Commands">Jumps, needle points and trims.</param>
public sealed record ProgramStitches(
    StepKey Key,
    string OwnerName,
    string Role,
    int Thread,
    int Block,
    bool StopAfter,
    ImmutableArray<NeedleCommand> Commands
) : ProgramStep(Key, OwnerName)
{
    /// <summary>What each command is for; empty for a program that was read from a file that does not tell.</summary>
    public ImmutableArray<NeedleRole> Roles { get; init; } = [];

    public int StitchCount => Commands.Count(command => command.Kind == NeedleKind.Stitch);

    /// <summary>Where the needle goes in for the step itself: without the way there from the step before.</summary>
    public IEnumerable<Point> OwnPoints() =>
        Commands
            .Skip(Roles.TakeWhile(role => role == NeedleRole.Travel).Count())
            .Where(command => command.Kind == NeedleKind.Stitch)
            .Select(command => command.At);

    public int TrimCount => Commands.Count(command => command.Kind == NeedleKind.Trim);
}

/// <summary>Work for hands, with all that the file must tell about it.</summary>
public sealed record ProgramHands(
    StepKey Key,
    string OwnerName,
    HandKind Kind,
    string Text,
    string? Warning,
    string? Note,
    bool HoopOff,
    ImmutableArray<LayerChange> Changes
) : ProgramStep(Key, OwnerName)
{
    /// <summary>What to check before pressing start, or null.</summary>
    public string? Check { get; init; }
}

public enum NeedleKind
{
    Jump,
    Stitch,
    Trim,
}

/// <summary>One command to the machine; the place of a trim is where the needle stands.</summary>
public readonly record struct NeedleCommand(NeedleKind Kind, Point At);
