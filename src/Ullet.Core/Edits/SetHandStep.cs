using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Adds a hand step of the user's own, or changes one.</summary>
public sealed record SetHandStep : Edit
{
    /// <summary>Which one; null for a new one.</summary>
    public string? Id { get; init; }

    public required HandKind Kind { get; init; }

    public required string Text { get; init; }

    public string? Warning { get; init; }

    /// <summary>What to check before pressing start.</summary>
    public string? Check { get; init; }

    public bool HoopOff { get; init; }

    /// <summary>The cloth that it lays; null for none.</summary>
    public string? ClothId { get; init; }

    /// <summary>The area that the cloth takes; null for the whole field.</summary>
    public ElementBox? Area { get; init; }

    public bool FaceDown { get; init; }

    public bool IsBeneath { get; init; }

    /// <summary>The layer that it takes away; null for none.</summary>
    public string? LayerId { get; init; }

    /// <summary>The step that a new one follows; null for the end.</summary>
    public string? After { get; init; }

    public override string Label(Project before) => Id is null ? "Add a hand step" : "Change a hand step";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (
            (
                Words(Text, "text", isNeeded: true)
                ?? Words(Warning, "warning", isNeeded: false)
                ?? Words(Check, "check", isNeeded: false)
                ?? (Area is { } area ? Limits.CheckBox(area, "the cloth") : null)
            ) is
            { } refusal
        )
        {
            return refusal;
        }
        if (ClothId is not null && project.FindCloth(ClothId) is null)
        {
            return EditRefusals.NoCloth(ClothId);
        }
        if (Id is not null && !project.RunSheet.Hands.Any(hand => hand.Id == Id))
        {
            return new Refusal("step-unknown", "id", $"There is no hand step \"{Id}\" of your own in this project.");
        }
        var hand = new UserHandStep(Id ?? $"u{project.NextNumber}", Kind, Text.Trim())
        {
            Warning = string.IsNullOrWhiteSpace(Warning) ? null : Warning.Trim(),
            Check = string.IsNullOrWhiteSpace(Check) ? null : Check.Trim(),
            HoopOff = HoopOff,
            ClothId = ClothId,
            Area = Area,
            FaceDown = FaceDown,
            IsBeneath = IsBeneath,
            LayerId = LayerId,
        };
        return Id is null ? Added(hand, project, context) : Changed(hand, project);
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
        var order = context.Evaluator.Evaluate(project).RunSheet.Steps.Select(step => step.Key).ToList();
        var at = Projects.StepKey.Parse(After ?? "") is { } after ? order.IndexOf(after) : -1;
        order.Insert(at < 0 ? order.Count : at + 1, hand.Key);
        return project with
        {
            NextNumber = project.NextNumber + 1,
            RunSheet = project.RunSheet with { Hands = project.RunSheet.Hands.Add(hand), Sequence = [.. order] },
        };
    }

    private static Refusal? Words(string? text, string place, bool isNeeded) =>
        isNeeded && string.IsNullOrWhiteSpace(text)
            ? new Refusal("text-empty", place, "Say what hands do in this step.")
        : text is not null && (text.Length > UserHandStep.LongestText || text.Any(char.IsControl))
            ? new Refusal(
                "text-broken",
                place,
                $"A hand step says what it is in one line of up to {UserHandStep.LongestText} characters; this one has {text.Length}."
            )
        : null;
}
