using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Outlines;

/// <summary>An outline whose edge is to be moved, as curves.</summary>
/// <param name="Outline">The outline, mm.</param>
/// <param name="Key">Stands for it in the key.</param>
/// <param name="Distance">Outwards when positive, mm.</param>
/// <param name="Corners">How corners are gone round.</param>
public sealed record MovedEdgeInput(Outline Outline, ContentHash Key, double Distance, CornerStyle Corners);

/// <summary>Outline to the same with its edge moved; many operations and pieces ask for the same one.</summary>
public sealed class MovedEdgeStation : IStation<MovedEdgeInput, Outline>
{
    public int Version => 1;

    public long Bytes(Outline output) => Footprint.Of(output);

    public ContentHash Key(MovedEdgeInput input) =>
        ContentHash.Of(new { input.Distance, input.Corners }, $"moved-edge-{Version}-{input.Key}");

    public Outline Compute(MovedEdgeInput input, CancellationToken cancellation) =>
        OutlineOffset.By(input.Outline, input.Distance, input.Corners);
}
