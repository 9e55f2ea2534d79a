using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Cutting;

/// <summary>What a cut shape becomes.</summary>
public enum CutKind
{
    /// <summary>The piece itself, as large as it is sewn.</summary>
    Piece,

    /// <summary>A rough piece that is trimmed in the hoop.</summary>
    Template,

    /// <summary>A layer of a pattern, with its seam and margin.</summary>
    Layer,

    /// <summary>Only cut out: nothing is sewn on it.</summary>
    Only,
}

/// <summary>What is cut out of a cloth.</summary>
/// <param name="ElementId">The piece, or the layer of a pattern.</param>
/// <param name="Ordinal">Which piece of cloth of the element it is.</param>
/// <param name="Name">The piece's name.</param>
/// <param name="ClothId">The cloth it is cut from.</param>
/// <param name="Outline">The line to cut, mm, where the piece stands on the wall.</param>
/// <param name="Allowance">How far outside the stitched outline it is cut, mm.</param>
/// <param name="Kind">What it becomes.</param>
public sealed record CutShape(
    string ElementId,
    int Ordinal,
    string Name,
    string ClothId,
    Outline Outline,
    double Allowance,
    CutKind Kind
)
{
    /// <summary>True for letters: their holes are counters.</summary>
    public bool IsOfLetters { get; init; }

    /// <summary>What falls out of it is called.</summary>
    public string HoleName => IsOfLetters ? "counter" : "hole";

    /// <summary>How many are needed.</summary>
    public int Count { get; init; } = 1;

    /// <summary>Lines on it beside its edge, mm, where it stands on the wall.</summary>
    public ImmutableArray<MarkLine> Lines { get; init; } = [];

    /// <summary>Names it in the cut settings.</summary>
    public string Key => KeyOf(ElementId, Ordinal);

    public bool IsTemplate => Kind == CutKind.Template;

    public static string KeyOf(string elementId, int ordinal) => $"{elementId}.{ordinal}";

    public Box Bounds() => Outline.Bounds();
}

/// <summary>A line on a piece: where another meets it, a seam, a fold, a letter of its label.</summary>
/// <param name="Role">Drawn or scored.</param>
/// <param name="Name">What it is.</param>
/// <param name="Curves">mm.</param>
public sealed record MarkLine(CutRole Role, string Name, ImmutableArray<Curve> Curves)
{
    internal MarkLine Transform(Affine map) => this with { Curves = [.. Curves.Select(curve => curve.Transform(map))] };
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
    public int Version => 5;

    public long Bytes(CutShape output) => Footprint.Thing + Footprint.Of(output.Outline);

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
        var kind = method.CutsToSize ? CutKind.Piece : CutKind.Template;
        return new CutShape(element.Id, part.Ordinal, part.Name, part.ClothId, line, allowance, kind)
        {
            IsOfLetters = element.Element.Form is TextForm,
        };
    }

    private static Outline Grown(Area area) =>
        new([
            .. area.Regions.Select(region => new OutlinePart(
                FewCurves.Of(region.Shell),
                [.. region.Holes.Select(hole => FewCurves.Of(hole))]
            )),
        ]);
}
