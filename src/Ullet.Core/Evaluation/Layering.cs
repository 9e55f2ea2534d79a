using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Evaluation;

/// <summary>Works out what each piece of cloth shows and how it is laid, from what lies on top of it.</summary>
internal sealed class Layering
{
    private static readonly OpenEdgeStation OpenEdges = new();

    private readonly StationCache _cache;
    private readonly Project _project;
    private readonly CancellationToken _cancellation;
    private readonly List<Layer> _layers = [];

    /// <param name="cache">Where values are kept.</param>
    /// <param name="project">The document: cloths.</param>
    /// <param name="shapes">The elements' outlines, by id.</param>
    /// <param name="cancellation">Stops the work.</param>
    internal Layering(
        StationCache cache,
        Project project,
        IReadOnlyDictionary<string, ShapedElement> shapes,
        CancellationToken cancellation
    )
    {
        (_cache, _project, _cancellation) = (cache, project, cancellation);
        foreach (var cloth in project.Appliques())
        {
            var shaped = shapes[cloth.Id];
            _layers.AddRange(
                shaped.Outline.Parts.Select(part => new Layer(cloth, part, KeyOf(shaped, part), part.Outline.Bounds()))
            );
        }
    }

    /// <summary>Every piece of cloth of an element, in sewing order: its part, the part's key, its edges and their key.</summary>
    internal IEnumerable<(PartOutline Part, ContentHash Key, OpenEdges Edges, ContentHash EdgesKey)> Of(
        string elementId
    )
    {
        for (var i = 0; i < _layers.Count; i++)
        {
            if (_layers[i].Element.Id == elementId)
            {
                var (edges, key) = EdgesOf(i, always: false);
                yield return (_layers[i].Part, _layers[i].Key, edges, key);
            }
        }
    }

    /// <summary>All stretches of an element's edges, also where nothing lies on it.</summary>
    internal IEnumerable<EdgeStretch> StretchesOf(string elementId) =>
        Enumerable
            .Range(0, _layers.Count)
            .Where(i => _layers[i].Element.Id == elementId)
            .SelectMany(i => EdgesOf(i, always: true).Edges.Stretches);

    private (OpenEdges Edges, ContentHash Key) EdgesOf(int number, bool always)
    {
        var layer = _layers[number];
        var above = _layers
            .Skip(number + 1)
            .Where(other => other.Box.Overlaps(layer.Box))
            .Select(other => new PieceAbove(
                other.Part.Outline,
                other.Key,
                OpenEdgeStation.TuckUnder(other.Element, _project),
                distance =>
                    Shaping
                        .Moved(_cache, other.Part.Outline, other.Key, -distance, CornerStyle.Round, _cancellation)
                        .Outline
            ))
            .ToImmutableArray();
        var touches = layer.Element.EdgeTouches;
        if (above.IsEmpty && touches.IsEmpty && !always)
        {
            return (new OpenEdges(layer.Part.Outline, [], null, false), layer.Key);
        }
        var input = new OpenEdgeInput(layer.Part.Outline, layer.Key, above, touches, layer.Element.Box);
        var edges = _cache.Get(OpenEdges, input, _cancellation);
        return (edges, edges.Visible is null ? layer.Key : OpenEdges.Key(input));
    }

    /// <summary>A letter is known by its own edge, so that a change of another letter leaves its stitches be; so is what
    /// operations made, so that one that changed nothing does too.</summary>
    private static ContentHash KeyOf(ShapedElement shaped, PartOutline part) =>
        part.Ordinal == 0 && part.Letter is null && shaped.Operations.IsEmpty
            ? shaped.Key
            : OutlineHash.Of(part.Outline);

    private sealed record Layer(AppliqueElement Element, PartOutline Part, ContentHash Key, Box Box);
}
