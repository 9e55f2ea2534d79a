using Ullet.Core.Layers;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Can work be turned where its run sheet says so? Read off its layers and seams.</summary>
internal sealed class TurningCheck : ICheck
{
    /// <summary>What was measured on a grid may be off by so much, mm.</summary>
    private const double Slack = 4;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        if (input.Turning is not { } turning)
        {
            yield break;
        }
        var earlier =
            input.Project.Pattern is { } use && PatternShelf.IsEarlier(use) ? new MakeAnewMend(use.PatternId) : null;
        if (turning.Answer == TurningAnswer.ClosedOff)
        {
            yield return new Finding(
                "no-turning-way",
                FindingLevel.Stop,
                null,
                turning.At,
                $"The work can't be turned: nothing leads to the right side of the {turning.LayerName.ToLowerInvariant()}"
                    + (turning.ClosedBy.IsEmpty ? "." : $", which is shut in by {Joined(turning.ClosedBy)}.")
                    + (
                        earlier is null
                            ? ""
                            : " An earlier Ullet made the pattern so; made anew, it can be turned, and what you added stays."
                    ),
                earlier
            );
            yield break;
        }
        var needs = NeedOf(input);
        if (turning.Answer == TurningAnswer.Through && turning.Width < needs - Slack)
        {
            yield return new Finding(
                "turning-narrow",
                FindingLevel.Warn,
                null,
                turning.At,
                $"The work is turned {turning.WayWords}, and the narrowest place of that way is only {turning.Width:0} mm wide; "
                    + $"{needs:0} mm are wanted."
            );
        }
    }

    private static double NeedOf(FindingInput input) =>
        input
            .RunSheet.Steps.OfType<RunSheets.HandStep>()
            .SelectMany(step => step.Work.Changes)
            .OfType<LayerLaid>()
            .Any(laid => laid.Cloth.Kind == ClothKind.Batting)
            ? TurningReport.PaddedNeeds
            : TurningReport.ThinNeeds;

    private static string Joined(IReadOnlyList<string> names) =>
        names.Count == 1 ? names[0] : $"{string.Join(", ", names.Take(names.Count - 1))} and {names[^1]}";
}
