using System.Collections.Immutable;
using Ullet.Core.Cutting;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;

namespace Ullet.Core.Booklets;

/// <summary>What is cut before the first stitch, a row each.</summary>
internal static class CutRows
{
    /// <summary>Lines of small drawings may lie so far beside the cut, mm.</summary>
    private const double Beside = 0.3;

    internal static ImmutableArray<CutRow> Of(Evaluated evaluated)
    {
        var needs = PatternShelf.PlanOf(evaluated.Project)?.Cloths ?? [];
        var rows = ImmutableArray.CreateBuilder<CutRow>();
        foreach (var sheet in evaluated.Sheets)
        {
            foreach (var placed in sheet.Shapes.Where(placed => placed.Copy == 0))
            {
                rows.Add(Row(evaluated, sheet, placed, needs));
            }
        }
        // What is hooped has no shape on a mat, nor has what is cut by hand; a motif is among the pieces.
        foreach (
            var need in needs.Where(need =>
                need.Width > 0
                    ? !rows.Any(row => row.Name == Title(need.Use) || Covers(row, need))
                    : need.Cloth.IsStabiliser()
            )
        )
        {
            rows.Add(Row(evaluated, need));
        }
        return rows.ToImmutable();
    }

    private static bool Covers(CutRow row, ClothNeed need) =>
        need.Width > 0
        && row.Cloth == need.Cloth.Name
        && Math.Abs(row.Width - need.Width) < 1
        && Math.Abs(row.Height - need.Height) < 1;

    private static CutRow Row(Evaluated evaluated, CutSheet sheet, PlacedShape placed, ImmutableArray<ClothNeed> needs)
    {
        var (shape, box) = (placed.Shape, placed.Shape.Bounds());
        var need =
            needs.FirstOrDefault(need => need.ShapeId == shape.ElementId)
            ?? needs.FirstOrDefault(need => need.Width == 0 && need.Cloth.Id == sheet.Cloth.Id);
        var notes = new[]
        {
            shape.IsTemplate ? "a rough piece, trimmed in the hoop" : null,
            sheet.Setup.MirrorReason is { } why ? $"cut mirrored: {why}" : null,
            need?.Advice,
        };
        return new CutRow(
            Title(shape.Name),
            sheet.Cloth.Name,
            sheet.Cloth.Colour,
            shape.Count,
            box.Width,
            box.Height,
            LengthText.AtLeast(box.Width, box.Height),
            GrainWords(evaluated.Project.Cut.Of(sheet.Cloth.Id).Grain),
            string.Join("; ", notes.OfType<string>()),
            sheet.Setup.IsByHand
                ? ""
                : $"{sheet.Cloth.Name}{(sheet.Count > 1 ? $", sheet {sheet.Number} of {sheet.Count}" : "")}",
            Rings(shape.Outline.Flatten(), box)
        );
    }

    private static CutRow Row(Evaluated evaluated, ClothNeed need)
    {
        var cloth = evaluated.Project.FindCloth(need.Cloth.Id) ?? need.Cloth;
        var area = need.Width > 0 ? Box.Centred(need.Width, need.Height) : Box.Empty;
        return new CutRow(
            Title(need.Use),
            cloth.Name,
            cloth.Colour,
            need.Count,
            need.Width,
            need.Height,
            need.Width > 0 ? LengthText.AtLeast(need.Width, need.Height) : "past the hoop all round",
            "",
            need.Advice ?? "",
            "",
            area.IsEmpty
                ? []
                :
                [
                    [.. area.Corners()],
                ]
        );
    }

    private static ImmutableArray<ImmutableArray<Point>> Rings(ImmutableArray<Region> area, Box box) =>
        [
            .. area.SelectMany(region => region.Rings)
                .Select(ring => PlaneGeometry.Simplified(ring.Points.Append(ring.Points[0]), Beside))
                .Select(line => line.Select(at => at - box.Centre).ToImmutableArray()),
        ];

    private static string GrainWords(Grain grain) =>
        grain switch
        {
            Grain.Free => "",
            Grain.TwoWays => "along the grain, either way up",
            Grain.OneWay => "along the grain, this way up",
        };

    private static string Title(string name) => name.Length == 0 ? name : char.ToUpperInvariant(name[0]) + name[1..];
}
