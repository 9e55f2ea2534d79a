using System.Collections.Immutable;
using System.Globalization;
using Ullet.Core.Applique;
using Ullet.Core.Cutting;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Server.Devices;

namespace Ullet.Server.Scenes;

/// <summary>How a cloth is cut, everything that was not set filled in.</summary>
/// <param name="ClothId">The cloth.</param>
/// <param name="Name">Its name.</param>
/// <param name="Cut">What is set for it.</param>
/// <param name="Mat">Its mat, mm.</param>
/// <param name="HasOwnMat">True when the mat is this cloth's alone.</param>
/// <param name="Usable">Where shapes may lie on the mat, mm.</param>
/// <param name="Profile">How it is cut.</param>
/// <param name="IsMirrored">True when its shapes are mirrored.</param>
/// <param name="MirrorReason">Why, in words; null when they are not.</param>
/// <param name="IsByHand">True for what no cutter takes.</param>
/// <param name="Layout">How its shapes come to their places.</param>
/// <param name="LayoutWords">The same in a sentence.</param>
/// <param name="Sheets">How many sheets it has.</param>
/// <param name="UsualTolerances">How exact cutter and hands are taken to be where nothing was measured.</param>
/// <param name="Material">What the stand-in cutter takes it for.</param>
public sealed record ClothCutDto(
    string ClothId,
    string Name,
    ClothCut Cut,
    MatSize Mat,
    bool HasOwnMat,
    SizeDto Usable,
    CutProfile Profile,
    bool IsMirrored,
    string? MirrorReason,
    bool IsByHand,
    SheetLayout Layout,
    string LayoutWords,
    int Sheets,
    EdgeTolerances UsualTolerances,
    string Material
);

/// <summary>One mat with its shapes.</summary>
/// <param name="ClothId">The cloth.</param>
/// <param name="ClothName">Its name.</param>
/// <param name="Number">Which of the cloth's sheets, from 1.</param>
/// <param name="Count">How many the cloth has.</param>
/// <param name="MatWidth">mm.</param>
/// <param name="MatHeight">mm.</param>
/// <param name="IsMirrored">True when every shape is mirrored.</param>
/// <param name="Fits">True when every shape lies on the cloth and inside the mat's margin.</param>
/// <param name="Meetings">Sentences about shapes that lie too near to each other.</param>
/// <param name="Size">The size of all shapes as they lie.</param>
/// <param name="Shapes">The shapes.</param>
public sealed record SheetDto(
    string ClothId,
    string ClothName,
    int Number,
    int Count,
    double MatWidth,
    double MatHeight,
    bool IsMirrored,
    bool Fits,
    ImmutableArray<string> Meetings,
    SizeCardDto Size,
    ImmutableArray<SheetShapeDto> Shapes
)
{
    /// <summary>The frame that is cut round all of them, on the mat; null for none.</summary>
    public SizeDto? WeedingBox { get; init; }
}

/// <summary>A shape on a mat.</summary>
/// <param name="Key">Names it in edits.</param>
/// <param name="Copy">Which of its copies, from 0.</param>
/// <param name="ElementId">The element, or the layer of a pattern.</param>
/// <param name="Ordinal">Which piece of cloth of the element.</param>
/// <param name="Name">Its name.</param>
/// <param name="Path">Its line on the mat, mm from the mat's top left.</param>
/// <param name="Marks">Lines drawn on it.</param>
/// <param name="Folds">Lines scored on it.</param>
/// <param name="Box">The line's box on the mat.</param>
/// <param name="Turn">How far it is turned, degrees.</param>
/// <param name="Allowance">How far outside the stitched outline, mm.</param>
/// <param name="Kind">What it becomes.</param>
/// <param name="Words">The same in words, with what falls out of it.</param>
/// <param name="Role">What its outline is for.</param>
/// <param name="Unit">The same for shapes that keep their places to one another.</param>
/// <param name="MeetsOther">True when it lies too near to another shape.</param>
/// <param name="ToMat">Six numbers that carry the wall to the mat, as SVG's matrix.</param>
/// <param name="Size">Its size in every reading.</param>
public sealed record SheetShapeDto(
    string Key,
    int Copy,
    string ElementId,
    int Ordinal,
    string Name,
    string Path,
    string Marks,
    string Folds,
    SizeDto Box,
    int Turn,
    double Allowance,
    CutKind Kind,
    string Words,
    CutRole Role,
    string Unit,
    bool MeetsOther,
    ImmutableArray<double> ToMat,
    SizeCardDto Size
);

/// <summary>A size in every way in which a program may show it; texts are ready to be read.</summary>
/// <param name="Width">mm.</param>
/// <param name="Height">mm.</param>
/// <param name="Inches">"1.34 × 2.05".</param>
/// <param name="Sixteenths">To the nearest one, "1 3/8 in × 2 1/16 in".</param>
/// <param name="At72">Width that a program shows which takes 72 units for an inch, mm.</param>
/// <param name="At90">The same for 90.</param>
/// <param name="At96">The same for 96: the true width.</param>
/// <param name="AtTenths">Width that a program shows which takes units for tenths of a millimetre, mm.</param>
/// <param name="Typed">The width to type, rounded up: "34.1 mm or 1.35 in".</param>
public sealed record SizeCardDto(
    double Width,
    double Height,
    string Inches,
    string Sixteenths,
    double At72,
    double At90,
    double At96,
    double AtTenths,
    string Typed
);

/// <summary>Sheets as they are shown.</summary>
internal static class SheetDtos
{
    internal static ImmutableArray<ClothCutDto> Cloths(Evaluated evaluated) =>
        [.. evaluated.Sheets.Where(sheet => sheet.Number == 1).Select(sheet => Cloth(sheet))];

    internal static SheetDto Of(CutSheet sheet)
    {
        var met = sheet.Meetings.SelectMany(pair => new[] { pair.First, pair.Second }).ToHashSet();
        return new SheetDto(
            sheet.Cloth.Id,
            sheet.Cloth.Name,
            sheet.Number,
            sheet.Count,
            sheet.MatWidth,
            sheet.MatHeight,
            sheet.IsMirrored,
            sheet.Fits,
            [.. sheet.Meetings.Select(pair => Capital($"{sheet.NamesOf(pair)} overlap or nearly touch."))],
            Size(SizeReading.Of(sheet.Bounds())),
            [.. sheet.Shapes.Select((placed, i) => Shape(placed, met.Contains(i)))]
        )
        {
            WeedingBox = sheet.WeedingBox is { } frame ? SceneBuilder.Size(frame) : null,
        };
    }

    private static ClothCutDto Cloth(CutSheet sheet)
    {
        var setup = sheet.Setup;
        return new ClothCutDto(
            setup.Cloth.Id,
            setup.Cloth.Name,
            setup.Cut,
            setup.Mat,
            setup.Cut.Mat is not null,
            SceneBuilder.Size(setup.Usable) ?? new SizeDto(0, 0, 0, 0),
            setup.Profile,
            setup.IsMirrored,
            setup.MirrorReason,
            setup.IsByHand,
            sheet.Layout,
            Words(sheet),
            sheet.Count,
            UsualTolerances.Of(setup.Cloth),
            setup.Profile.Name == CutProfiles.Film.Name ? CutterSetup.Film : setup.Cloth.Kind.ToString()
        );
    }

    private static string Words(CutSheet sheet) =>
        !sheet.Setup.Cut.Places.IsEmpty ? "Laid by hand: shapes stay where you put them."
        : sheet.Layout == SheetLayout.InPlace ? "In place: shapes lie to one another as they do on the wall."
        : sheet.Setup.Cut.Layout is null
            ? "Packed in rows, because in their places the shapes would meet or not fit the mat."
        : "Packed in rows, the tallest first.";

    private static SheetShapeDto Shape(PlacedShape placed, bool meets)
    {
        var box = placed.Outline.Bounds();
        var (shape, map) = (placed.Shape, placed.Map);
        return new SheetShapeDto(
            shape.Key,
            placed.Copy,
            shape.ElementId,
            shape.Ordinal,
            shape.Name,
            PathText.Of(placed.Outline),
            Lines(placed, CutRole.Draw),
            Lines(placed, CutRole.Score),
            SceneBuilder.Size(box)!,
            placed.Turn,
            shape.Allowance,
            shape.Kind,
            Words(shape),
            placed.Role,
            $"{placed.Unit.Key} {placed.Unit.Copy}{(placed.Unit.IsAlone ? " alone" : "")}",
            meets,
            [map.A, map.B, map.C, map.D, map.E, map.F],
            Size(SizeReading.Of(box))
        );
    }

    private static string Capital(string words) => char.ToUpperInvariant(words[0]) + words[1..];

    private static string Lines(PlacedShape placed, CutRole role) =>
        string.Concat(
            placed
                .Lines.Where(line => line.Role == role)
                .Select(line => PathText.Of(new Outline([]) { Lines = [new OpenPath(line.Curves)] }))
        );

    private static string Words(CutShape shape)
    {
        var holes = shape.Outline.Parts.Sum(part => part.Holes.Length);
        var parts = shape.Outline.Parts.Length;
        var more =
            (parts > 1 ? $", in {parts} parts" : "")
            + (
                holes == 0 ? ""
                : holes == 1 ? $", one {shape.HoleName} falls out"
                : $", {holes} {shape.HoleName}s fall out"
            );
        return shape.Kind switch
            {
                CutKind.Template => $"rough template, {shape.Allowance:0} mm larger all round",
                CutKind.Only => "only cut out, nothing is sewn",
                CutKind.Layer => "layer of the pattern, seam and margin counted in",
                CutKind.Piece when shape.Allowance == 0 => "exact piece, as large as its placement line",
                CutKind.Piece => $"piece, {Math.Abs(shape.Allowance).ToString("0.0", CultureInfo.InvariantCulture)} mm "
                    + (shape.Allowance > 0 ? "larger all round" : "smaller all round"),
            } + more;
    }

    private static SizeCardDto Size(SizeReading size)
    {
        string Inches(double mm) => (mm / LengthText.MmPerInch).ToString("0.00", CultureInfo.InvariantCulture);
        return new SizeCardDto(
            size.Width,
            size.Height,
            $"{Inches(size.Width)} × {Inches(size.Height)}",
            $"{LengthText.Sixteenths(size.Width)} × {LengthText.Sixteenths(size.Height)}",
            size.ShownAt(72),
            size.ShownAt(90),
            size.ShownAt(96),
            size.ShownInTenths,
            size.Typed
        );
    }
}
