using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Evaluation;

/// <summary>Works out what each element is sewn as.</summary>
internal sealed class Workshop(
    StationCache cache,
    Project project,
    IReadOnlyDictionary<string, ShapedElement> shapes,
    CancellationToken cancellation
)
{
    private readonly OffsetStation _offsets = new();

    /// <summary>What every element is sewn as, by its id.</summary>
    internal Dictionary<string, ElementAtWork> Of()
    {
        var layering = new Layering(cache, project, shapes, cancellation);
        return project.Elements.ToDictionary(
            element => element.Id,
            element => Of(element, layering),
            StringComparer.Ordinal
        );
    }

    private ElementAtWork Of(Element element, Layering layering)
    {
        Budget.Spend();
        var (module, shaped) = (MakingModules.Of(element), shapes[element.Id]);
        ImmutableArray<KeyedPiece> pieces = AppliqueElement.Of(element) is { } cloth
            ? [.. layering.Of(element.Id).Select(layer => Piece(cloth, layer))]
            : [];
        var input = new MakingInput(project, element, shaped.Outline.Whole, shaped.Key, pieces)
        {
            Letters = shaped.Outline.Letters,
            Parts = shaped.Outline.Parts,
        };
        return new ElementAtWork(pieces, module.Things(input), module.Marked(input), module.CutOuts(input));
    }

    private KeyedPiece Piece(AppliqueElement element, LaidPiece layer)
    {
        var part = AppliquePart.Of(element, layer.Part);
        var (laid, laidKey) = layer.Laid;
        var work = new PieceAtWork(
            part,
            laid,
            project.FindCloth(part.ClothId)!,
            (distance, keepHoles) => Offset(laid, laidKey, distance, keepHoles)
        )
        {
            Edge = layer.Edge,
            Line = layer.Line.Outline,
            Drift = layer.Drift,
            Visible = layer.Edges.Visible,
            Stretches = layer.Edges.Visible is null ? [] : layer.Edges.Stretches,
            IsBuried = layer.Edges.IsBuried,
            Exact = project.Cut.Of(part.ClothId).Tolerances,
        };
        return new KeyedPiece(work, laidKey, layer.Line.Key, layer.EdgesKey);
    }

    /// <summary>Asked for long after the evaluation by whoever reads it: the request that it was made for may have ended since.</summary>
    private Area Offset(Outline outline, ContentHash key, double distance, bool keepHoles) =>
        cache.Get(_offsets, new OffsetInput(outline, key, distance, keepHoles), CancellationToken.None);
}
