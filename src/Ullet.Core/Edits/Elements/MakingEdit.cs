using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>An edit of one element.</summary>
public abstract record OneElementEdit : Edit
{
    public required string ElementId { get; init; }

    public sealed override Result<Project> Apply(Project project, EditContext context) =>
        project.Find(ElementId) is not { } element
            ? EditRefusals.NoElement(ElementId)
            : Change(element, project)
                .Then(changed =>
                    Weighed(element, changed, context) is { } refusal
                        ? refusal
                        : (Result<Project>)Centring.Kept(changed, changed.Find(ElementId)!, context)
                );

    /// <summary>Why what came out is not taken without being asked for once more, or null.</summary>
    private protected virtual Refusal? Weighed(Element before, Project after, EditContext context) => null;

    /// <summary>The document with the element changed, or why not.</summary>
    private protected abstract Result<Project> Change(Element element, Project project);

    private protected string PieceName(Project project) => project.Find(ElementId)?.Name ?? "piece";
}

/// <summary>An edit of the settings of one kind of making, in use or kept.</summary>
/// <typeparam name="TMaking">The settings.</typeparam>
public abstract record MakingEdit<TMaking> : OneElementEdit
    where TMaking : Making
{
    private protected sealed override Result<Project> Change(Element element, Project project) =>
        element.SettingsOf<TMaking>() is { } making
            ? Change(element, making, project)
            : EditRefusals.WrongKind(element);

    /// <summary>The document with the settings changed, or why not.</summary>
    private protected abstract Result<Project> Change(Element element, TMaking making, Project project);
}

/// <summary>An edit of anything made of cloth.</summary>
public abstract record ClothEdit : MakingEdit<ClothMaking>
{
    private protected sealed override Result<Project> Change(Element element, ClothMaking making, Project project) =>
        Change(new AppliqueElement(element, making), project);

    /// <summary>The document with the element changed, or why not.</summary>
    private protected abstract Result<Project> Change(AppliqueElement piece, Project project);
}

/// <summary>An edit of a shape or a drawing.</summary>
public abstract record ShapeEdit : OneElementEdit
{
    private protected sealed override Result<Project> Change(Element element, Project project) =>
        element.Form.ShapeOf() is { } shape ? Change(element, shape, project) : EditRefusals.WrongKind(element);

    /// <summary>The document with the form changed, or why not.</summary>
    private protected abstract Result<Project> Change(Element element, ShapeSource shape, Project project);
}
