using System.Collections.Immutable;
using Ullet.Core.Forms;
using Ullet.Core.Geometry;
using Ullet.Core.Makings;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Evaluation;

/// <summary>Works out the outlines of a document's elements with their operations, sources first.</summary>
internal sealed class Shaping(
    StationCache cache,
    OutlineStation outlines,
    Project project,
    CancellationToken cancellation
)
{
    private static readonly OperationStation Operations = new();
    private static readonly MovedEdgeStation MovedEdges = new();

    private readonly Dictionary<string, ShapedElement> _done = new(StringComparer.Ordinal);
    private readonly HashSet<string> _begun = new(StringComparer.Ordinal);

    /// <exception cref="InvalidOperationException">When the element uses itself through others: edits and the reader of
    /// documents refuse that.</exception>
    internal ShapedElement Of(Element element)
    {
        if (_done.TryGetValue(element.Id, out var known))
        {
            return known;
        }
        if (!_begun.Add(element.Id))
        {
            throw new InvalidOperationException($"Element {element.Id} uses itself.");
        }
        var outline = cache.Get(outlines, element, cancellation);
        var key = outlines.Key(element);
        var results = ImmutableArray.CreateBuilder<OperationResult>();
        foreach (var operation in element.Operations.Where(operation => IsAtWork(element, operation)))
        {
            var input = new OperationInput(outline, key, operation, Sources(element, operation), element.Box);
            (outline, var state) = cache.Get(Operations, input, cancellation);
            key = Operations.Key(input);
            results.Add(new OperationResult(operation, state, outline, key));
        }
        return _done[element.Id] = new ShapedElement(outline, key, results.ToImmutable());
    }

    /// <summary>What lies under others is cut away of areas filled with rows only.</summary>
    private static bool IsAtWork(Element element, Operation operation) =>
        !operation.IsMuted && (operation is not CutBeneath || OperationLimits.CutUnfit(element) is null);

    private bool IsAbove(Element source, Element element) =>
        project.Elements.IndexOf(source) > project.Elements.IndexOf(element)
        && source.Making is { FollowsLines: false, IsSewn: true };

    private ImmutableArray<OperationSource> Sources(Element element, Operation operation) =>
        [
            .. operation
                .Sources.Select(project.Find)
                .OfType<Element>()
                .Where(source => operation is not CutBeneath || IsAbove(source, element))
                .Select(source =>
                {
                    var shaped = Of(source);
                    if (operation is CutBeneath cut)
                    {
                        return Moved(
                            cache,
                            shaped.Outline.Whole,
                            shaped.Key,
                            -cut.Margin,
                            CornerStyle.Round,
                            cancellation
                        );
                    }
                    if (operation is not Carve carve)
                    {
                        return new OperationSource(shaped.Outline.Whole, shaped.Key);
                    }
                    var gap =
                        carve.Reveal
                        + MakingModules.Of(element).Beyond(element, project)
                        + MakingModules.Of(source).Beyond(source, project);
                    return Moved(cache, shaped.Outline.Whole, shaped.Key, gap, carve.Corners, cancellation);
                }),
        ];

    internal static OperationSource Moved(
        StationCache cache,
        Outline outline,
        ContentHash key,
        double distance,
        CornerStyle corners,
        CancellationToken cancellation
    )
    {
        var input = new MovedEdgeInput(outline, key, distance, corners);
        return new OperationSource(cache.Get(MovedEdges, input, cancellation), MovedEdges.Key(input));
    }
}
