using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>Document to outline: the shape in its box, its holes, turned and moved to its place.</summary>
public sealed class OutlineStation : IStation<Piece, Outline>
{
    public int Version => 1;

    public ContentHash Key(Piece input) =>
        ContentHash.Of(new OutlineInput(input.Shape, input.Box, [.. input.Holes]), $"outline-{Version}");

    /// <summary>The outline on the wall, mm. Holes keep their size; they are placed in the piece's own frame.</summary>
    public Outline Compute(Piece input, CancellationToken cancellation)
    {
        var shell = ShapeContours.Make(input.Shape, input.Box.Width, input.Box.Height);
        var holes = input.Holes.Select(hole =>
            ShapeContours.Make(hole.Shape, hole.Width, hole.Height).Transform(Affine.Translate(hole.X, hole.Y))
        );
        var part = new OutlinePart(shell, [.. holes]);
        return new Outline([part]).Transform(
            Affine.Rotate(input.Box.Rotation).Then(Affine.Translate(input.Box.X, input.Box.Y))
        );
    }

    private sealed record OutlineInput(ShapeSource Shape, ElementBox Box, PieceHole[] Holes);
}
