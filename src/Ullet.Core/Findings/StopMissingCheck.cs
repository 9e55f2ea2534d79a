using Ullet.Core.Program;

namespace Ullet.Core.Findings;

/// <summary>Does the machine stop wherever hands are needed next?</summary>
internal sealed class StopMissingCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        var steps = input.Program.Steps;
        for (var i = 1; i < steps.Length; i++)
        {
            if (steps[i] is ProgramHands hands && steps[i - 1] is ProgramStitches { StopAfter: false } before)
            {
                yield return new Finding(
                    "stop-missing",
                    FindingLevel.Stop,
                    before.Key.OwnerId,
                    null,
                    $"The machine would run straight on after the {before.Role} of {before.OwnerName}, but hands are needed: {hands.Text}"
                );
            }
        }
    }
}
