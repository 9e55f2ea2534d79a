using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Evaluation;
using Ullet.Core.Forms;
using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>What its form is called: "Heart", "Words".</summary>
internal sealed class KindTrait() : Trait("kind", "Kind", TraitSource.Choices)
{
    public override TraitValue? Of(Element element, Project project, Evaluator evaluator) =>
        new(FormModules.Of(element.Form).Called(element.Form));

    internal override Result<Edit> Given(Element element, TraitValue value) =>
        throw new InvalidOperationException("What an element is can't be set.");
}

/// <summary>What is made of its form.</summary>
internal sealed class MakingTrait() : Trait("making", "Making", TraitSource.Choices)
{
    public override ImmutableArray<TraitChoice> Choices =>
        [.. MakingModules.All.Select(module => new TraitChoice(module.Kind, module.Name))];

    public override TraitValue? Of(Element element, Project project, Evaluator evaluator) =>
        new(MakingModules.Of(element).Kind);

    internal override Result<Edit> Given(Element element, TraitValue value) =>
        new SetMaking { ElementId = element.Id, Kind = value.Word };
}

/// <summary>Something that elements name by its id, and may have none of: a cloth, a thread, a font.</summary>
/// <param name="id">Its word in requests.</param>
/// <param name="name">What a person calls it.</param>
/// <param name="source">Where the ids come from.</param>
/// <param name="read">The id that an element names; null for none.</param>
/// <param name="given">The edit that gives another id to the element of an id.</param>
internal sealed class NamedTrait(
    string id,
    string name,
    TraitSource source,
    Func<Element, Project, string?> read,
    Func<string, string, Edit> given
) : Trait(id, name, source)
{
    public override TraitValue? Of(Element element, Project project, Evaluator evaluator) =>
        read(element, project) is { } named ? new TraitValue(named) : null;

    internal override Result<Edit> Given(Element element, TraitValue value) => given(element.Id, value.Word);
}

/// <summary>How a line is sewn.</summary>
internal sealed class StitchTrait : Trait
{
    private readonly TraitKinds<LineKind> _kinds;

    internal StitchTrait()
        : base("stitch", "Stitch", TraitSource.Choices)
    {
        SelectsBy = true;
        _kinds = new(Name, LineTable.All.Select(row => (row.Kind, row.Name)));
    }

    public override ImmutableArray<TraitChoice> Choices => _kinds.Choices;

    public override TraitValue? Of(Element element, Project project, Evaluator evaluator) =>
        element.MadeAs<LineMaking>() is { } line ? TraitKinds<LineKind>.Value(line.Stitching.Kind) : null;

    internal override Result<Edit> Given(Element element, TraitValue value) =>
        _kinds.Given(
            value,
            kind => new SetLine
            {
                ElementId = element.Id,
                Line = element.MadeAs<LineMaking>()!.Stitching with { Kind = kind, StitchLength = null, Width = null },
            }
        );
}
