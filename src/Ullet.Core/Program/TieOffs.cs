using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Stitches;

namespace Ullet.Core.Program;

/// <summary>Gives every thread's end to the step that was sewn with it.</summary>
internal static class TieOffs
{
    /// <summary>The steps, each with the locks and the trim that end its own thread; the file says the same in the same order.</summary>
    /// <param name="steps">As they were written one after the other: a step that can't go on from the one before begins with that one's
    /// end.</param>
    internal static ImmutableArray<ProgramStep> Owned(ImmutableArray<ProgramStep> steps)
    {
        var owned = steps.ToBuilder();
        for (var i = 1; i < owned.Count; i++)
        {
            Budget.Spend();
            if (
                owned[i] is not ProgramStitches step
                || EndOfOther(step) is not (> 0 and var count)
                || LastSewn(owned, i) is not { } before
            )
            {
                continue;
            }
            var earlier = (ProgramStitches)owned[before];
            owned[before] = earlier with
            {
                Commands = [.. earlier.Commands, .. step.Commands[..count]],
                Roles = [.. earlier.Roles, .. step.Roles[..count]],
            };
            owned[i] = step with { Commands = step.Commands[count..], Roles = step.Roles[count..] };
        }
        return owned.ToImmutable();
    }

    /// <summary>How many commands at a step's beginning end the thread of another: a few locks, then the trim; 0 for none.</summary>
    private static int EndOfOther(ProgramStitches step)
    {
        for (var i = 0; i < Math.Min(step.Commands.Length, StitchDefaults.LockCount + 1); i++)
        {
            if (step.Roles[i] != NeedleRole.Lock || step.Commands[i].Kind == NeedleKind.Jump)
            {
                return 0;
            }
            if (step.Commands[i].Kind == NeedleKind.Trim)
            {
                return i + 1;
            }
        }
        return 0;
    }

    private static int? LastSewn(ImmutableArray<ProgramStep>.Builder steps, int before)
    {
        for (var i = before - 1; i >= 0 && steps[i] is ProgramStitches sewn; i--)
        {
            if (sewn.Commands.Length > 0)
            {
                return i;
            }
        }
        return null;
    }
}
