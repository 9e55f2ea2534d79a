using System.Collections.Immutable;
using Ullet.Core.Cutting;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Puts a shape somewhere on a mat by hand. What is kept together goes along; everything else stays where it lies.</summary>
public sealed record PlaceShape : ClothCutEdit
{
    /// <summary>The shape's key.</summary>
    public required string Key { get; init; }

    /// <summary>Which of its copies, from 0.</summary>
    public int Copy { get; init; }

    /// <summary>Which sheet, from 1; null for the one that it lies on.</summary>
    public int? Sheet { get; init; }

    /// <summary>Left edge of its box, mm from the mat's; null for where it is.</summary>
    public double? X { get; init; }

    /// <summary>Upper edge of its box, mm from the mat's; null for where it is.</summary>
    public double? Y { get; init; }

    /// <summary>Degrees clockwise on the wall's stand: 0, 90, 180, 270; null for as it is.</summary>
    public int? Turn { get; init; }

    public override string Label(Project before) =>
        Turn is null ? $"Move a shape of {ClothName(before)} on the mat" : $"Turn a shape of {ClothName(before)}";

    private protected override Result<ClothCut> Change(ClothCut cut, Project project, EditContext context)
    {
        var evaluated = context.Evaluator.Evaluate(project, context.Cancellation);
        var sheets = evaluated.Sheets.Where(sheet => sheet.Cloth.Id == ClothId).ToList();
        var lies = sheets
            .SelectMany(sheet => sheet.Shapes.Select(placed => (Sheet: sheet, Placed: placed)))
            .FirstOrDefault(pair => pair.Placed.Shape.Key == Key && pair.Placed.Copy == Copy);
        if (lies.Placed is null)
        {
            return new Refusal("shape-unknown", "key", $"There is no shape \"{Key}\" on this cloth's mats.");
        }
        var turn = Turn ?? lies.Placed.Turn;
        if (turn % 360 != lies.Placed.Turn && GrainRefusal(cut.Grain, turn) is { } against)
        {
            return against;
        }
        var places = sheets.SelectMany(sheet => MatPlaces.Of(sheet)).ToImmutableArray();
        var unit = lies.Placed.Unit;
        var at = places.First(place =>
            place.Key == unit.Key && place.Copy == unit.Copy && place.IsAlone == unit.IsAlone
        );
        var box = lies.Placed.Outline.Bounds();
        var moved = at with
        {
            Sheet = Sheet ?? at.Sheet,
            X = MatPlaces.Rounded(at.X + (X ?? box.MinX) - box.MinX),
            Y = MatPlaces.Rounded(at.Y + (Y ?? box.MinY) - box.MinY),
        };
        if (turn != lies.Placed.Turn)
        {
            moved = Turned(moved, turn, BoxOf(unit, lies.Sheet), (turn - lies.Placed.Turn + 360) % 180 != 0);
        }
        return cut with { Places = places.Replace(at, moved) };
    }

    /// <summary>Turned about the middle of what is laid as one.</summary>
    private static HandPlace Turned(HandPlace place, int turn, Box box, bool swaps)
    {
        var shift = swaps ? (box.Width - box.Height) / 2 : 0;
        return place with
        {
            Turn = turn,
            X = MatPlaces.Rounded(place.X + shift),
            Y = MatPlaces.Rounded(place.Y - shift),
        };
    }

    private static Refusal? GrainRefusal(Grain grain, int turn) =>
        grain switch
        {
            Grain.OneWay when turn % 360 != 0 => new Refusal(
                "grain-against",
                "turn",
                "The grain of this cloth runs one way, so its shapes are not turned. Set the grain to free or two ways first."
            ),
            Grain.TwoWays when turn % 180 != 0 => new Refusal(
                "grain-against",
                "turn",
                "The grain of this cloth runs two ways, so its shapes turn upside down only. Set the grain to free first."
            ),
            _ => null,
        };

    private static Box BoxOf(UnitName unit, CutSheet sheet) =>
        sheet
            .Shapes.Where(placed => placed.Unit == unit)
            .Aggregate(Box.Empty, (box, placed) => box.Union(placed.Outline.Bounds()));
}
