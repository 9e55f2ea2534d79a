using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Makings;

/// <summary>Only cut shapes, and no stitch.</summary>
internal sealed class CutOnlyModule : MakingModule<CutOnlyMaking>
{
    public override string Kind => "cutOnly";

    public override string Name => "Cut only";

    public override string Summary => "Only cut out, with no stitch at all: signs, iron-on film, things to glue.";

    public override string? Unfit(Element element) =>
        NeedsLettersToCut(element, "Choose another font.") ?? NeedsArea(element, "a cut shape");

    /// <summary>From the cloth it was made of; else from the cloth that was cut only last; else from the usual one.</summary>
    public override Making Begun(Element element, Project project) =>
        new CutOnlyMaking
        {
            ClothId =
                element.SettingsOf<ClothMaking>()?.ClothId
                ?? project
                    .Elements.LastOrDefault(other => other.Making is CutOnlyMaking)
                    ?.MadeAs<CutOnlyMaking>()
                    ?.ClothId
                ?? UsualCloths.Of(project)?.Id
                ?? project.Hooping.TopClothId,
        };

    private protected override Refusal? Check(CutOnlyMaking making) =>
        Limits.CheckSet(making.Allowance, (-5, 30), "mm", "The cut allowance", "allowance");

    private protected override IEnumerable<string> ClothIds(CutOnlyMaking making) => [making.ClothId];

    private protected override string? ClothOf(CutOnlyMaking making) => making.ClothId;

    private protected override CutOnlyMaking InCloth(CutOnlyMaking making, string clothId) =>
        making with
        {
            ClothId = clothId,
        };

    private protected override CutOnlyMaking Renamed(CutOnlyMaking making, IdMap ids) =>
        making with
        {
            ClothId = ids.Cloths[making.ClothId],
            CoveredBy = making.CoveredBy is { } border ? ids.Elements.GetValueOrDefault(border) : null,
        };

    private protected override CutOnlyMaking AsFirstSet(CutOnlyMaking making) => making;

    private protected override ImmutableArray<CutOut> CutOuts(CutOnlyMaking making, MakingInput input) =>
        [
            .. input.Parts.Select(part => new CutOut(
                part.Ordinal,
                AppliquePart.NameOf(input.Element, part),
                part.ClothId ?? making.ClothId,
                Larger(part.Outline, making.Allowance ?? 0)
            )),
        ];

    private static Outline Larger(Outline outline, double by) => by == 0 ? outline : OutlineOffset.By(outline, by);

    private protected override string HowMade(CutOnlyMaking making, Element element, Project project) =>
        "only cut out, not sewn";

    private protected override string OfWhat(CutOnlyMaking making, Project project) =>
        project.FindCloth(making.ClothId)!.Name;
}
