using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sets place, size and turn of several elements as a whole, by the box of their bare outlines; what is null stays.</summary>
/// <remarks>The whole is made larger about its middle, then turned about it, then brought to its place. Where an element stands
/// askew the whole keeps its proportions: a turned form can't be stretched along a line that is not its own.</remarks>
public sealed record PlaceElements : Edit
{
    /// <summary>A factor beyond this is a slip of the keys.</summary>
    private const double MostFactor = 1000;

    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>Middle of the whole across, mm right of the field's centre.</summary>
    public double? X { get; init; }

    /// <summary>Middle of the whole down, mm below the field's centre.</summary>
    public double? Y { get; init; }

    /// <summary>Width of the whole, mm, covers excluded.</summary>
    public double? Width { get; init; }

    /// <summary>Height of the whole, mm, covers excluded.</summary>
    public double? Height { get; init; }

    /// <summary>By how much the whole is turned, degrees clockwise.</summary>
    public double Turn { get; init; }

    /// <summary>When only one of width and height is given: true lets the other follow.</summary>
    public bool KeepProportions { get; init; }

    /// <summary>True when fills of very many stitches are meant.</summary>
    public bool IsLargeMeant { get; init; }

    public override string Label(Project before) =>
        $"{(Width is not null || Height is not null ? "Resize" : Turn != 0 ? "Turn" : "Move")} {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        Chosen.Find(project, ElementIds).Then(elements => Placed(project, elements, context));

    private Result<Project> Placed(Project project, ImmutableArray<Element> elements, EditContext context)
    {
        var whole = elements.Aggregate(Box.Empty, (box, each) => box.Union(Bands.BoxOf(each, context)));
        if (whole.IsEmpty)
        {
            return new Refusal(
                "nothing-to-place",
                "elementIds",
                "What is selected has no outline that could be placed."
            );
        }
        if (!double.IsFinite(Turn))
        {
            return new Refusal("number-wrong", "turn", "The turn has to be a number of degrees.");
        }
        var factors = Factors(whole, elements);
        return factors.IsOk ? Placed(project, elements, whole, factors.Value, context) : factors.Refusal!;
    }

    private Result<Project> Placed(
        Project project,
        ImmutableArray<Element> elements,
        Box whole,
        (double Across, double Down) by,
        EditContext context
    )
    {
        var middle = new Point(X ?? whole.Centre.X, Y ?? whole.Centre.Y);
        var map = Affine
            .Translate(-whole.Centre.X, -whole.Centre.Y)
            .Then(Affine.Scale(by.Across, by.Down))
            .Then(Affine.Rotate(Turn))
            .Then(Affine.Translate(middle.X, middle.Y));
        Result<Project> placed = project;
        foreach (var element in elements)
        {
            var at = map.Apply(new Point(element.Box.X, element.Box.Y));
            var (across, down) = IsUpright(element.Box.Rotation) ? by : (by.Down, by.Across);
            var box = element.Box with
            {
                X = at.X,
                Y = at.Y,
                Width = element.Box.Width * across,
                Height = element.Box.Height * down,
                Rotation = Turn == 0 ? element.Box.Rotation : Math.IEEERemainder(element.Box.Rotation + Turn, 360),
            };
            placed = placed
                .Then(so => Resizing.InBox(so, element with { StaysCentred = false }, box, context))
                .Then(so =>
                    !IsLargeMeant && LargeFill.Asked(element, so, context) is { } asked ? asked : (Result<Project>)so
                );
        }
        return placed;
    }

    /// <summary>By how much the whole grows across and down.</summary>
    private Result<(double Across, double Down)> Factors(Box whole, ImmutableArray<Element> elements)
    {
        var across = Width is { } width && whole.Width > 0 ? width / whole.Width : (double?)null;
        var down = Height is { } height && whole.Height > 0 ? height / whole.Height : (double?)null;
        if (new[] { across, down }.OfType<double>().Any(factor => !(factor > 0 && factor < MostFactor)))
        {
            return new Refusal(
                "size-wrong",
                across is { } wrong && !(wrong > 0 && wrong < MostFactor) ? "width" : "height",
                "The whole has to have a size over 0 that these elements can be brought to."
            );
        }
        // A form that stands askew can only grow as a whole.
        return KeepProportions || elements.Any(element => element.Box.IsAskew)
            ? Alike(across, down)
            : (across ?? 1, down ?? 1);
    }

    private static (double Across, double Down) Alike(double? across, double? down)
    {
        var by = (across, down) switch
        {
            ({ } wide, { } tall) => Math.Min(wide, tall),
            _ => across ?? down ?? 1,
        };
        return (by, by);
    }

    private static bool IsUpright(double rotation) => Math.Abs(Math.IEEERemainder(rotation, 180)) < 45;
}
