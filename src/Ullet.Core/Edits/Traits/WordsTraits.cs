using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>How tall the capitals of words are, mm.</summary>
internal sealed class CapHeightTrait() : Trait("capHeight", "Cap height", TraitSource.Length)
{
    public override TraitValue? Of(Element element, Project project, Evaluator evaluator) =>
        element.FormedAs<TextForm>() is null ? null : TraitValue.Of(evaluator.CapHeightOf(element));

    internal override Result<Edit> Given(Element element, TraitValue value) =>
        new SetLettering { ElementId = element.Id, CapHeight = value.Length };
}

/// <summary>The names of the groups that it stands in, with commas between them; empty for none.</summary>
internal sealed class GroupNamesTrait() : Trait("groups", "Groups", TraitSource.Text)
{
    public override TraitValue? Of(Element element, Project project, Evaluator evaluator) =>
        new(GroupNames.Joined(element.GroupNames)) { Several = element.GroupNames };

    internal override Result<Edit> Given(Element element, TraitValue value) =>
        new NameGroups { ElementIds = [element.Id], Names = value.Word };
}
