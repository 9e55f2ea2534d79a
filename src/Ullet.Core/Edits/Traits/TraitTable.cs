using System.Collections.Immutable;
using Ullet.Core.Evaluation;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>The traits that there are, as a card shows them: the only list of them.</summary>
public static class TraitTable
{
    public static readonly ImmutableArray<Trait> All =
    [
        new KindTrait(),
        new MakingTrait(),
        new ClothTrait(),
        new ThreadTrait(),
        new MethodTrait(),
        new HoldingTrait(),
        new CoverKindTrait(),
        new CoverWidthTrait(),
        new CoverSpacingTrait(),
        new StitchTrait(),
        new FontTrait(),
        new CapHeightTrait(),
        new GroupNamesTrait(),
    ];

    /// <summary>The trait that a word names; null for none.</summary>
    public static Trait? Find(string id) => All.FirstOrDefault(trait => trait.Id == id);

    /// <summary>All that an element has, by the traits' words.</summary>
    public static ImmutableDictionary<string, TraitValue> Of(Element element, Project project, Evaluator evaluator) =>
        All.Select(trait => (trait.Id, Value: trait.Of(element, project, evaluator)))
            .Where(pair => pair.Value is not null)
            .ToImmutableDictionary(pair => pair.Id, pair => pair.Value!);
}
