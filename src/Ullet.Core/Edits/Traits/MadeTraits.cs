using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Evaluation;
using Ullet.Core.Forms;
using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>What its form is called: "Heart", "Words".</summary>
internal sealed class KindTrait : Trait
{
    public override string Id => "kind";

    public override string Name => "Kind";

    public override TraitSource Source => TraitSource.Choices;

    public override bool SelectsBy => true;

    public override bool CanBeSet => false;

    public override TraitValue? Of(Element element, Project project, Evaluator evaluator) =>
        new(FormModules.Of(element.Form).Called(element.Form));

    internal override Result<Edit> Given(Element element, TraitValue value) =>
        throw new InvalidOperationException("What an element is can't be set.");
}

/// <summary>What is made of its form.</summary>
internal sealed class MakingTrait : Trait
{
    public override string Id => "making";

    public override string Name => "Making";

    public override TraitSource Source => TraitSource.Choices;

    public override ImmutableArray<TraitChoice> Choices =>
        [.. MakingModules.All.Select(module => new TraitChoice(module.Kind, module.Name))];

    public override bool SelectsBy => true;

    public override TraitValue? Of(Element element, Project project, Evaluator evaluator) =>
        new(MakingModules.Of(element).Kind);

    internal override Result<Edit> Given(Element element, TraitValue value) =>
        new SetMaking { ElementId = element.Id, Kind = value.Word };
}

/// <summary>The cloth that it is cut from.</summary>
internal sealed class ClothTrait : Trait
{
    public override string Id => "cloth";

    public override string Name => "Cloth";

    public override TraitSource Source => TraitSource.Cloths;

    public override bool SelectsBy => true;

    public override TraitValue? Of(Element element, Project project, Evaluator evaluator) =>
        MakingModules.Of(element).ClothOf(element.Making) is { } id ? new TraitValue(id) : null;

    internal override Result<Edit> Given(Element element, TraitValue value) =>
        new SetPieceCloth { ElementId = element.Id, ClothId = value.Word };
}

/// <summary>The thread of what is seen of it.</summary>
internal sealed class ThreadTrait : Trait
{
    public override string Id => "thread";

    public override string Name => "Thread";

    public override TraitSource Source => TraitSource.Threads;

    public override bool SelectsBy => true;

    public override TraitValue? Of(Element element, Project project, Evaluator evaluator) =>
        MakingModules.Of(element).ThreadOf(element.Making, project) is { } id ? new TraitValue(id) : null;

    internal override Result<Edit> Given(Element element, TraitValue value) =>
        new SetSeenThread { ElementId = element.Id, ThreadId = value.Word };
}

/// <summary>How a line is sewn.</summary>
internal sealed class StitchTrait : Trait
{
    public override string Id => "stitch";

    public override string Name => "Stitch";

    public override TraitSource Source => TraitSource.Choices;

    public override ImmutableArray<TraitChoice> Choices =>
        [.. LineTable.All.Select(row => new TraitChoice(TraitWords.Of(row.Kind), row.Name))];

    public override bool SelectsBy => true;

    public override TraitValue? Of(Element element, Project project, Evaluator evaluator) =>
        element.MadeAs<LineMaking>() is { } line ? new TraitValue(TraitWords.Of(line.Stitching.Kind)) : null;

    internal override Result<Edit> Given(Element element, TraitValue value) =>
        TraitWords
            .Read<LineKind>(value, Name, LineTable.All.Select(row => row.Kind))
            .Then(kind =>
                (Result<Edit>)
                    new SetLine
                    {
                        ElementId = element.Id,
                        Line = element.MadeAs<LineMaking>()!.Stitching with
                        {
                            Kind = kind,
                            StitchLength = null,
                            Width = null,
                        },
                    }
            );
}
