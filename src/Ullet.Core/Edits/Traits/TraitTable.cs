using System.Collections.Immutable;
using Ullet.Core.Evaluation;
using Ullet.Core.Makings;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>The traits that there are, as a card shows them: the only list of them.</summary>
public static class TraitTable
{
    public static readonly ImmutableArray<Trait> All =
    [
        new KindTrait { SelectsBy = true, CanBeSet = false },
        new MakingTrait { SelectsBy = true },
        new NamedTrait(
            "cloth",
            "Cloth",
            TraitSource.Cloths,
            (element, _) => MakingModules.Of(element).ClothOf(element.Making),
            (elementId, clothId) => new SetPieceCloth { ElementId = elementId, ClothId = clothId }
        )
        {
            SelectsBy = true,
        },
        new NamedTrait(
            "thread",
            "Thread",
            TraitSource.Threads,
            (element, project) => MakingModules.Of(element).ThreadOf(element.Making, project),
            (elementId, threadId) => new SetSeenThread { ElementId = elementId, ThreadId = threadId }
        )
        {
            SelectsBy = true,
        },
        new MethodTrait(),
        new HoldingTrait(),
        new CoverKindTrait(),
        new BandTrait("coverWidth", "Cover width", band => band.Width, (cover, width) => cover with { Width = width }),
        new BandTrait(
            "coverSpacing",
            "Cover spacing",
            band => band.Spacing,
            (cover, spacing) => cover with { Spacing = spacing }
        ),
        new StitchTrait(),
        new NamedTrait(
            "font",
            "Font",
            TraitSource.Fonts,
            (element, _) => element.FormedAs<TextForm>()?.FontId,
            (elementId, fontId) => new SetLettering { ElementId = elementId, FontId = fontId }
        )
        {
            SelectsBy = true,
        },
        new CapHeightTrait(),
        new GroupNamesTrait { SelectsBy = true },
    ];

    /// <summary>The trait that a word names; null for none.</summary>
    public static Trait? Find(string id) => All.FirstOrDefault(trait => trait.Id == id);

    /// <summary>All that an element has, by the traits' words.</summary>
    public static ImmutableDictionary<string, TraitValue> Of(Element element, Project project, Evaluator evaluator) =>
        All.Select(trait => (trait.Id, Value: trait.Of(element, project, evaluator)))
            .Where(pair => pair.Value is not null)
            .ToImmutableDictionary(pair => pair.Id, pair => pair.Value!);
}
