using Ullet.Core.Projects;

namespace Ullet.Server.Devices;

/// <summary>What a rehearsed file asks hands for, in the unit that is shown; the user's own lines are left word for word.</summary>
internal static class RehearsedWords
{
    internal static Rehearsal In(Rehearsal rehearsal, LengthUnit unit)
    {
        if (unit == LengthUnit.Millimetre)
        {
            return rehearsal;
        }
        string? Told(string? words) => words is null ? null : LengthWords.In(words, unit);
        return rehearsal with
        {
            Cautions = [.. rehearsal.Cautions.Select(words => LengthWords.In(words, unit))],
            Steps =
            [
                .. rehearsal.Steps.Select(step =>
                    step with
                    {
                        Text = Told(step.Text),
                        Warning = Told(step.Warning),
                        Check = Told(step.Check),
                        Group = step.Group is { } group ? group with { Text = LengthWords.In(group.Text, unit) } : null,
                    }
                ),
            ],
        };
    }
}
