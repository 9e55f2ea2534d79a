using System.Collections.Immutable;
using Ullet.Core.Cutting;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>One shape on a mat: which, and which of its copies, from 0.</summary>
public sealed record MatShape(string Key, int Copy);

/// <summary>Carries the chosen shapes, and only those, to another sheet and lays them where it is free. What is kept together with a
/// chosen one stays where it is.</summary>
public sealed record ToSheet : ClothCutEdit
{
    public required ImmutableArray<MatShape> Shapes { get; init; }

    /// <summary>Which sheet, from 1; one more than there are for a new one; null for the next one, a new one after the last.</summary>
    public int? Sheet { get; init; }

    public override string Label(Project before) =>
        $"{(Shapes.Length == 1 ? "A shape" : $"{Shapes.Length} shapes")} of {ClothName(before)} to another sheet";

    private protected override Result<ClothCut> Change(ClothCut cut, Project project, EditContext context)
    {
        var evaluated = context.Evaluator.Evaluate(project, context.Cancellation);
        var sheets = evaluated.Sheets.Where(sheet => sheet.Cloth.Id == ClothId).ToList();
        var all = sheets.SelectMany(sheet => sheet.Shapes.Select(placed => (Sheet: sheet, Placed: placed))).ToList();
        var chosen = all.Where(pair => Shapes.Contains(NameOf(pair.Placed))).ToList();
        if (
            chosen.Count == 0
            || Shapes.FirstOrDefault(shape => !all.Exists(pair => NameOf(pair.Placed) == shape)) is not null
        )
        {
            return new Refusal(
                "shape-unknown",
                "shapes",
                "One of these shapes does not lie on this cloth's mats any more."
            );
        }
        var from = chosen[0].Sheet.Number;
        var to = Sheet ?? (from < sheets.Count ? from + 1 : sheets.Count + 1);
        if (to < 1 || to > sheets.Count + 1)
        {
            return new Refusal(
                "sheet-unknown",
                "sheet",
                $"{ClothName(project)} has {sheets.Count} sheets; say one of them, or {sheets.Count + 1} for a new one."
            );
        }
        var stay = sheets.SelectMany(sheet => MatPlaces.Of(sheet, placed => !Shapes.Contains(NameOf(placed))));
        return Laid(cut, [.. stay], chosen.ConvertAll(pair => pair.Placed), sheets, to);
    }

    private Result<ClothCut> Laid(
        ClothCut cut,
        List<HandPlace> places,
        List<PlacedShape> moved,
        List<CutSheet> sheets,
        int to
    )
    {
        var setup = sheets[0].Setup;
        var taken = sheets
            .Where(sheet => sheet.Number == to)
            .SelectMany(sheet => sheet.Shapes)
            .Where(placed => !Shapes.Contains(NameOf(placed)))
            .Select(placed => placed.Outline.Bounds())
            .ToList();
        foreach (var placed in moved.OrderByDescending(each => each.Outline.Bounds().Height))
        {
            Budget.Spend();
            var box = placed.Outline.Bounds();
            if (MatPlaces.Free(box, taken, setup.Usable, setup.Cut.Gap) is not { } spot)
            {
                return new Refusal(
                    "sheet-full",
                    "sheet",
                    $"There is no room left for {placed.Shape.Name} on sheet {to}. Choose fewer shapes, or a new sheet."
                )
                {
                    Kind = RefusalKind.NotPossible,
                };
            }
            taken.Add(box.Moved(spot.X - box.MinX, spot.Y - box.MinY));
            places.Add(
                new HandPlace(placed.Shape.Key, placed.Copy, to, spot.X, spot.Y, placed.Turn) { IsAlone = true }
            );
        }
        return cut with { Places = [.. places] };
    }

    private static MatShape NameOf(PlacedShape placed) => new(placed.Shape.Key, placed.Copy);
}
