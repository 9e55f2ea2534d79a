using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Core.Timing;

/// <summary>How long steps take, seconds. Source: an ordinary home machine at a calm speed, and hands that know the work.</summary>
public static class StepTimes
{
    /// <summary>Needle points per minute.</summary>
    public const double StitchesPerMinute = 600;

    public const double TrimSeconds = 6;

    public const double ThreadChangeSeconds = 40;

    /// <summary>Seconds of one program step; a change of thread is counted by the step that begins with it.</summary>
    public static double Seconds(ProgramStep step, bool threadChanges) =>
        step switch
        {
            ProgramStitches stitches => (stitches.StitchCount / StitchesPerMinute * 60)
                + (stitches.TrimCount * TrimSeconds)
                + (threadChanges ? ThreadChangeSeconds : 0),
            ProgramHands hands => HandTable.Of(hands.Kind).Seconds,
            _ => 0,
        };

    /// <summary>Seconds of each step of a program, in order.</summary>
    public static IReadOnlyList<double> Of(StitchProgram program)
    {
        var seconds = new List<double>(program.Steps.Length);
        var thread = 0;
        foreach (var step in program.Steps)
        {
            Budget.Spend();
            var changes = step is ProgramStitches next && thread != 0 && next.Thread != thread;
            seconds.Add(Seconds(step, changes));
            thread = step is ProgramStitches { Thread: var used } ? used : thread;
        }
        return seconds;
    }
}
