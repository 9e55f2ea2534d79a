using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Cutting;

/// <summary>What one piece wants cut out of its cloth.</summary>
/// <param name="ElementId">The piece.</param>
/// <param name="Ordinal">Which piece of cloth of the element it is.</param>
/// <param name="Name">The piece's name.</param>
/// <param name="ClothId">The cloth it is cut from.</param>
/// <param name="Outline">The line to cut, mm, where the piece stands on the wall.</param>
/// <param name="Allowance">How far outside the stitched outline it is cut, mm.</param>
/// <param name="IsTemplate">True for a rough template that is trimmed later, false for the finished piece.</param>
public sealed record CutShape(
    string ElementId,
    int Ordinal,
    string Name,
    string ClothId,
    Outline Outline,
    double Allowance,
    bool IsTemplate
)
{
    public Box Bounds() => Outline.Bounds();
}

/// <summary>A piece whose cut shape is wanted.</summary>
/// <param name="Part">The piece, or the letter.</param>
/// <param name="Outline">Its outline, mm.</param>
/// <param name="OutlineKey">Stands for the outline in the key.</param>
/// <param name="Offset">The outline moved outwards by a distance, mm, with its holes or with them filled.</param>
public sealed record CutShapeInput(
    AppliquePart Part,
    Outline Outline,
    ContentHash OutlineKey,
    Func<double, bool, Area> Offset
);

/// <summary>Piece to the cut shape that its method asks for.</summary>
/// <remarks>Without an allowance the outline's own curves are kept. With one the edge is moved outwards with round corners,
/// holes are left out (they are cut in the hoop), and curves are fitted within <see cref="Tolerance.Fit"/>.</remarks>
public sealed class CutShapeStation : IStation<CutShapeInput, CutShape>
{
    public int Version => 2;

    public ContentHash Key(CutShapeInput input) =>
        ContentHash.Of(
            new
            {
                input.Part.Element.Id,
                input.Part.Ordinal,
                input.Part.Name,
                input.Part.ClothId,
                input.Part.Element.Method,
                input.Part.Element.CutAllowance,
            },
            $"cut-shape-{Version}-{input.OutlineKey}"
        );

    public CutShape Compute(CutShapeInput input, CancellationToken cancellation)
    {
        var (part, element) = (input.Part, input.Part.Element);
        var method = AppliqueMethods.Of(element.Method);
        var allowance = (method.CutsToSize ? element.CutAllowance : null) ?? method.CutAllowance ?? 0;
        var line = allowance == 0 ? input.Outline : Grown(input.Offset(allowance, method.CutsToSize));
        return new CutShape(element.Id, part.Ordinal, part.Name, part.ClothId, line, allowance, !method.CutsToSize);
    }

    private static Outline Grown(Area area) =>
        new([
            .. area.Regions.Select(region => new OutlinePart(
                CurveFit.Of(region.Shell),
                [.. region.Holes.Select(hole => CurveFit.Of(hole))]
            )),
        ]);
}
