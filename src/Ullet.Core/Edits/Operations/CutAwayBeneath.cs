using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Leaves out of every filled area beneath an element what lies under it. Each area gets a live operation, which can be muted.</summary>
/// <remarks>Letters, lines, parts of a pattern, locked elements and what the element does not overlap are left as they are.</remarks>
public sealed record CutAwayBeneath : Edit
{
    /// <summary>What lies on the others.</summary>
    public required string ElementId { get; init; }

    /// <summary>So far areas go on under the element, mm; 0 to 10.</summary>
    public double Margin { get; init; } = new CutBeneath { SourceIds = [] }.Margin;

    public override string Label(Project before) =>
        $"Cut away what lies beneath {before.Find(ElementId)?.Name ?? "piece"}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        project.Find(ElementId) is { } element ? Cut(element, project, context) : EditRefusals.NoElement(ElementId);

    private Result<Project> Cut(Element element, Project project, EditContext context)
    {
        var cut = new CutBeneath { SourceIds = [element.Id], Margin = Margin };
        if (OperationLimits.Check(cut) is { } wrong)
        {
            return wrong;
        }
        var outline = context.Evaluator.OutlineOf(element);
        var beneath = project
            .Elements.TakeWhile(other => other.Id != element.Id)
            .Where(other => !other.IsLocked && OperationLimits.CutUnfit(other) is null)
            .Where(other => !other.Operations.Any(known => known is CutBeneath && known.Sources.Contains(element.Id)))
            .Where(other => !OutlineOverlay.Intersection(context.Evaluator.OutlineOf(other), outline).IsEmpty)
            .ToList();
        if (beneath.Count == 0)
        {
            return new Refusal(
                "nothing-beneath",
                "elementId",
                $"No filled area lies beneath {element.Name} of which more could be cut away."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
        }
        Result<Project> done = project;
        foreach (var area in beneath)
        {
            Budget.Spend();
            done = done.Then(now => new AddOperation { ElementId = area.Id, Operation = cut }.Apply(now, context));
        }
        return done;
    }
}
