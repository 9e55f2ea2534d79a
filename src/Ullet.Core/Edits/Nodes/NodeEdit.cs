using System.Collections.Immutable;
using Ullet.Core.Forms;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>A node of a drawn element: the number of its line, and its own on it.</summary>
public readonly record struct NodeRef(int Line, int Node);

/// <summary>An edit of a drawn element's nodes. Everything else about the element stays.</summary>
public abstract record NodeEdit : Edit
{
    public required string ElementId { get; init; }

    public sealed override Result<Project> Apply(Project project, EditContext context)
    {
        if (project.Find(ElementId) is not { } element)
        {
            return EditRefusals.NoElement(ElementId);
        }
        if (element.IsLocked)
        {
            return EditRefusals.Locked(element);
        }
        if (NodeLines.Of(element) is not { } lines)
        {
            return new Refusal(
                "not-drawn",
                "elementId",
                $"{element.Name} has no nodes yet: it is made by a generator. Turn it into nodes first."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
        }
        return Change(element, lines)
            .Then(changed =>
            {
                var after = NodeLines.With(element, changed);
                return
                    (
                        Limits.CheckBox(after.Box, after.Name, mayBeFlat: after.IsLinework)
                        ?? FormModules.Of(after.Form).CheckAdded(after, context.Evaluator.Fonts)
                        ?? Operations(after)
                    )
                        is { } no
                    ? no
                    : (Result<Project>)Centring.Kept(project.With(after), after, context);
            });
    }

    private protected abstract Result<ImmutableArray<NodeLine>> Change(Element element, ImmutableArray<NodeLine> lines);

    private protected string ElementName(Project project) => project.Find(ElementId)?.Name ?? "element";

    /// <summary>Says that a node or a stretch is not there, or null.</summary>
    private protected static Refusal? Missing(
        ImmutableArray<NodeLine> lines,
        int line,
        int node,
        bool isStretch = false
    ) =>
        line >= 0
        && line < lines.Length
        && node >= 0
        && node < (isStretch ? lines[line].StretchCount : lines[line].Nodes.Length)
            ? null
            : new Refusal("node-unknown", "nodes", "That node is not there any more; select it again.");

    /// <summary>Operations keep their place on the wall; a frame that goes too far from it takes them out of their ranges.</summary>
    private static Refusal? Operations(Element element) =>
        element.Operations.Select(OperationLimits.Check).FirstOrDefault(no => no is not null);
}
