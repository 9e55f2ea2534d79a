using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Adds a hand step of the user's own, or changes one.</summary>
public sealed record SetHandStep : Edit
{
    /// <summary>The step; with an empty id it is a new one.</summary>
    public required UserHandStep Hand { get; init; }

    /// <summary>The step that a new one follows; null for the end.</summary>
    public string? After { get; init; }

    public override string Label(Project before) => Hand.Id.Length == 0 ? "Add a hand step" : "Change a hand step";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (
            (
                Words(Hand.Text, "text", isNeeded: Hand.Insert is null)
                ?? Words(Hand.Warning, "warning", isNeeded: false)
                ?? Words(Hand.Check, "check", isNeeded: false)
                ?? Limits.CheckRange(Hand.AreaMore, 0, 200, "mm", "What the cloth is larger by", "areaMore")
                ?? Limits.CheckRange(Hand.AlignDistance, 0, 200, "mm", "The distance from the line", "alignDistance")
                ?? Ranges(Hand.Insert)
                ?? (Hand.Area is { } area ? Limits.CheckBox(area, "the cloth") : null)
            ) is
            { } refusal
        )
        {
            return refusal;
        }
        if (Hand.Insert is { } insert)
        {
            if (project.Find(insert.On) is null)
            {
                return EditRefusals.NoElement(insert.On);
            }
            if (Hand.ClothId is null)
            {
                return new Refusal("insert-without-cloth", "clothId", "Say of which cloth or ribbon it is.");
            }
        }
        if (Hand.AreaOf is { } element && project.Find(element) is null)
        {
            return EditRefusals.NoElement(element);
        }
        if (Hand.ClothId is not null && project.FindCloth(Hand.ClothId) is null)
        {
            return EditRefusals.NoCloth(Hand.ClothId);
        }
        var isNew = Hand.Id.Length == 0;
        if (!isNew && !project.RunSheet.Hands.Any(hand => hand.Id == Hand.Id))
        {
            return new Refusal(
                "step-unknown",
                "hand",
                $"There is no hand step \"{Hand.Id}\" of your own in this project."
            )
            {
                Kind = RefusalKind.NotFound,
            };
        }
        var hand = Hand with
        {
            Id = isNew ? $"u{project.NextNumber}" : Hand.Id,
            Text =
                Hand.Insert is { } put && string.IsNullOrWhiteSpace(Hand.Text)
                    ? $"Put the {InsertTable.Of(put.Kind).Name} in."
                    : Hand.Text.Trim(),
            Warning = string.IsNullOrWhiteSpace(Hand.Warning) ? null : Hand.Warning.Trim(),
            Check = string.IsNullOrWhiteSpace(Hand.Check) ? null : Hand.Check.Trim(),
        };
        return isNew ? Added(hand, project, context) : Changed(hand, project);
    }

    private static Project Changed(UserHandStep hand, Project project) =>
        project with
        {
            RunSheet = project.RunSheet with
            {
                Hands = [.. project.RunSheet.Hands.Select(known => known.Id == hand.Id ? hand : known)],
            },
        };

    /// <summary>With a place of its own the order becomes the user's.</summary>
    private Project Added(UserHandStep hand, Project project, EditContext context)
    {
        var order = context
            .Evaluator.Evaluate(project, context.Cancellation)
            .RunSheet.Steps.Select(step => step.Key)
            .ToList();
        var at = Projects.StepKey.Parse(After ?? "") is { } after ? order.IndexOf(after) : -1;
        order.Insert(at < 0 ? order.Count : at + 1, hand.Key);
        return project with
        {
            NextNumber = project.NextNumber + 1,
            RunSheet = project.RunSheet with { Hands = project.RunSheet.Hands.Add(hand), Sequence = [.. order] },
        };
    }

    private static Refusal? Ranges(UserInsert? insert) =>
        insert is null
            ? null
            : Limits.CheckRange(insert.Along, 0, 100, "%", "The place along the side", "along")
                ?? Limits.CheckRange(insert.Width, 5, 100, "mm", "The width of what is put in", "width")
                ?? Limits.CheckRange(insert.Length, 10, 150, "mm", "What lies inside the seam", "length");

    private static Refusal? Words(string? text, string place, bool isNeeded) =>
        isNeeded && string.IsNullOrWhiteSpace(text)
            ? new Refusal("text-empty", place, "Say what hands do in this step.")
        : text is not null && PlainText.Line(text).Length > UserHandStep.LongestText
            ? new Refusal(
                "text-broken",
                place,
                $"A hand step says what it is in one line of up to {UserHandStep.LongestText} characters; this one has {text.Length}."
            )
        : null;
}
