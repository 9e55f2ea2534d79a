using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>The font of words.</summary>
internal sealed class FontTrait : Trait
{
    public override string Id => "font";

    public override string Name => "Font";

    public override TraitSource Source => TraitSource.Fonts;

    public override bool SelectsBy => true;

    public override TraitValue? Of(Element element, Project project, Evaluator evaluator) =>
        element.FormedAs<TextForm>() is { } words ? new TraitValue(words.FontId) : null;

    internal override Result<Edit> Given(Element element, TraitValue value) =>
        new SetLettering { ElementId = element.Id, FontId = value.Word };
}

/// <summary>How tall the capitals of words are, mm.</summary>
internal sealed class CapHeightTrait : Trait
{
    public override string Id => "capHeight";

    public override string Name => "Cap height";

    public override TraitSource Source => TraitSource.Length;

    public override TraitValue? Of(Element element, Project project, Evaluator evaluator) =>
        element.FormedAs<TextForm>() is null ? null : new TraitValue("", evaluator.CapHeightOf(element));

    internal override Result<Edit> Given(Element element, TraitValue value) =>
        new SetLettering { ElementId = element.Id, CapHeight = value.Length };
}

/// <summary>The names of the groups that it stands in, with commas between them; empty for none.</summary>
internal sealed class GroupNamesTrait : Trait
{
    public override string Id => "groups";

    public override string Name => "Groups";

    public override TraitSource Source => TraitSource.Text;

    public override bool SelectsBy => true;

    public override TraitValue? Of(Element element, Project project, Evaluator evaluator) =>
        new(GroupNames.Joined(element.GroupNames));

    internal override Result<Edit> Given(Element element, TraitValue value) =>
        new NameGroups { ElementIds = [element.Id], Names = value.Word };
}
