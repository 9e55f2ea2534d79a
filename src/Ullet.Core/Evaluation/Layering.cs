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
    private static readonly SewnEdgeStation SewnEdges = new();

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
            _layers.AddRange(shaped.Outline.Parts.Select(part => LayerOf(cloth, part, KeyOf(shaped, part))));
        }
    }

    /// <summary>Every piece of cloth of an element, in sewing order.</summary>
    internal IEnumerable<LaidPiece> Of(string elementId)
    {
        for (var i = 0; i < _layers.Count; i++)
        {
            if (_layers[i].Element.Id == elementId)
            {
                var layer = _layers[i];
                var (edges, key) = EdgesOf(i, layer.Sewn, always: false);
                var line = Keyed(edges.Laid, layer.Sewn);
                var laid = layer.CutsAsSewn
                    ? line
                    : Keyed(EdgesOf(i, layer.Drawn, always: false).Edges.Laid, layer.Drawn);
                yield return new LaidPiece(layer.Part, laid, line, layer.Sewn.Outline, edges, key, layer.Drift);
            }
        }
    }

    private static KeyedOutline Keyed(Outline laid, KeyedOutline whole) =>
        ReferenceEquals(laid, whole.Outline) ? whole : new KeyedOutline(laid, OutlineHash.Of(laid));

    /// <summary>All stretches of an element's edges, also where nothing lies on it.</summary>
    internal IEnumerable<EdgeStretch> StretchesOf(string elementId) =>
        Enumerable
            .Range(0, _layers.Count)
            .Where(i => _layers[i].Element.Id == elementId)
            .SelectMany(i => EdgesOf(i, _layers[i].Sewn, always: true).Edges.Stretches);

    private (OpenEdges Edges, ContentHash Key) EdgesOf(int number, KeyedOutline own, bool always)
    {
        var layer = _layers[number];
        var above = _layers
            .Skip(number + 1)
            .Where(other => other.Box.Overlaps(layer.Box))
            .Select(other => new PieceAbove(
                other.Sewn.Outline,
                other.Sewn.Key,
                OpenEdgeStation.TuckUnder(other.Element, _project),
                distance =>
                    Shaping
                        .Moved(_cache, other.Sewn.Outline, other.Sewn.Key, -distance, CornerStyle.Round, _cancellation)
                        .Outline
            ))
            .ToImmutableArray();
        var touches = layer.Element.EdgeTouches;
        if (above.IsEmpty && touches.IsEmpty && !always)
        {
            return (new OpenEdges(own.Outline, [], null, false), own.Key);
        }
        var input = new OpenEdgeInput(own.Outline, own.Key, above, touches, layer.Element.Box);
        var edges = _cache.Get(OpenEdges, input, _cancellation);
        return (edges, edges.Visible is null ? own.Key : OpenEdges.Key(input));
    }

    /// <summary>A letter is known by its own edge, so that a change of another letter leaves its stitches be; so is what
    /// operations made, so that one that changed nothing does too.</summary>
    private static ContentHash KeyOf(ShapedElement shaped, PartOutline part) =>
        part.Ordinal == 0 && part.Letter is null && shaped.Operations.IsEmpty
            ? shaped.Key
            : OutlineHash.Of(part.Outline);

    private Layer LayerOf(AppliqueElement cloth, PartOutline part, ContentHash key)
    {
        var drift = cloth.Making.Drift ?? SmoothedRing.Drift;
        var drawn = new KeyedOutline(part.Outline, key);
        var sewn = _cache.Get(SewnEdges, new SewnEdgeInput(part.Outline, key, drift), _cancellation);
        return new Layer(
            cloth,
            part,
            drawn,
            sewn.Smoothed is { } smoothed ? new KeyedOutline(smoothed, OutlineHash.Of(smoothed)) : drawn,
            (sewn.Drift, sewn.At),
            part.Outline.Bounds()
        );
    }

    /// <param name="Element">The element that it belongs to.</param>
    /// <param name="Part">The piece of cloth.</param>
    /// <param name="Drawn">Its outline as drawn.</param>
    /// <param name="Sewn">The line that stitches follow; the same where thread can follow the outline.</param>
    /// <param name="Drift">How far that lies from the outline at most, mm, and where.</param>
    /// <param name="Box">What it takes, mm.</param>
    private sealed record Layer(
        AppliqueElement Element,
        PartOutline Part,
        KeyedOutline Drawn,
        KeyedOutline Sewn,
        (double Length, Point At) Drift,
        Box Box
    )
    {
        internal bool CutsAsSewn => Element.Making.CutsAsSewn;
    }
}
