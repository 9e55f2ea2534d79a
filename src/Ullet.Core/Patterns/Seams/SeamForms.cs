using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Patterns;

/// <summary>The outlines that patterns may take: a row each, and the user's own.</summary>
internal static class SeamForms
{
    /// <summary>The choice that asks for the outline.</summary>
    internal const string ChoiceId = "outline";

    /// <summary>The user's own form (<see cref="PatternUse.Outline"/>).</summary>
    internal const string Own = "own";

    internal static readonly SeamFormRow Rounded = new(
        "rounded",
        "rounded",
        (w, h, radius) => ShapeContours.Make(new RectangleShape(radius), w, h)
    );

    internal static readonly SeamFormRow Bell = new("bell", "bell", (w, h, _) => Fitted(BellContour(), w, h));

    internal static readonly SeamFormRow Scalloped = new(
        "scalloped",
        "scalloped below",
        (w, h, _) => Fitted(ScallopContour(w, h), w, h)
    );

    internal static readonly SeamFormRow HalfRound = new(
        "half-round",
        "round below",
        (w, h, _) => Fitted(HalfRoundContour(w, h), w, h)
    );

    internal static readonly SeamFormRow Oval = new(
        "oval",
        "oval",
        (w, h, _) => ShapeContours.Make(new EllipseShape(), w, h)
    );

    internal static readonly SeamFormRow Shield = new(
        "shield",
        "shield",
        (w, h, _) => ShapeContours.Make(new ShieldShape(), w, h)
    );

    internal static readonly SeamFormRow Hexagon = new(
        "hexagon",
        "hexagon",
        (w, h, _) => ShapeContours.Make(new PolygonShape(6), w, h)
    );

    internal static readonly SeamFormRow Heart = new(
        "heart",
        "heart",
        (w, h, _) => ShapeContours.Make(new HeartShape(), w, h)
    );

    private static readonly ImmutableArray<SeamFormRow> All =
    [
        Rounded,
        Bell,
        Scalloped,
        HalfRound,
        Oval,
        Shield,
        Hexagon,
        Heart,
    ];

    /// <summary>The choice of an outline among some, and the user's own.</summary>
    internal static PatternChoice Choice(params ImmutableArray<SeamFormRow> rows) =>
        new(
            ChoiceId,
            "Outline",
            rows[0].Id,
            [
                .. rows.Select(row => new PatternOption(row.Id, row.Name)),
                new PatternOption(Own, "a form of your own") { NeedsDrawing = true },
            ]
        );

    /// <summary>The form that is asked for, or why it can't be had.</summary>
    /// <param name="asked">What was asked of the pattern.</param>
    /// <param name="width">mm.</param>
    /// <param name="height">mm.</param>
    /// <param name="radius">Of the corners of a rounded form, mm.</param>
    internal static Result<SeamForm> Of(PatternNumbers asked, double width, double height, double radius)
    {
        var id = asked.Choice(ChoiceId);
        if (id != Own)
        {
            return new SeamForm(
                All.First(row => row.Id == id)
                    .Make(width, height, Math.Min(radius, Math.Min(width, height) / 2))
                    .Oriented(true)
            );
        }
        if (asked.OwnOutline is not { } shape)
        {
            return new Refusal(
                "outline-missing",
                ChoiceId,
                "There is no form of your own yet: select a closed shape on the wall and make it the pattern's outline."
            );
        }
        var outline = ShapeContours.Outline(shape, width, height);
        return outline.Parts.Length == 1
            ? new SeamForm(outline.Parts[0].Shell.Oriented(true))
            : new Refusal(
                "outline-not-one",
                ChoiceId,
                "A pattern's outline is one closed line that does not cross itself; this form has several parts or none."
            );
    }

    private static Contour Fitted(Contour contour, double width, double height)
    {
        var box = contour.Bounds();
        return contour.Transform(
            Affine.Translate(-box.Centre.X, -box.Centre.Y).Then(Affine.Scale(width / box.Width, height / box.Height))
        );
    }

    /// <summary>Narrow above, wider below, the sides in a slow curve.</summary>
    private static Contour BellContour() =>
        new PathPen(-38, -50)
            .Line(38, -50)
            .Cubic(40, -10, 44, 20, 50, 38)
            .Cubic(51, 46, 47, 50, 40, 50)
            .Line(-40, 50)
            .Cubic(-47, 50, -51, 46, -50, 38)
            .Cubic(-44, 20, -40, -10, -38, -50)
            .Close();

    /// <summary>Upright sides, the lower edge in an odd number of shallow arcs, so that one of them is in the middle.</summary>
    private static Contour ScallopContour(double width, double height)
    {
        var count = Math.Max(1, ((int)(width / 55) - 1) / 2 * 2 + 1);
        var (each, depth) = (width / count, Math.Min(10, height / 8));
        var pen = new PathPen(-width / 2, -height / 2)
            .Line(width / 2, -height / 2)
            .Line(width / 2, (height / 2) - depth);
        for (var i = 0; i < count; i++)
        {
            var from = (width / 2) - (i * each);
            // The control points of a flat arc: depth is three quarters of their height.
            var low = (height / 2) - depth + (depth * 4 / 3);
            pen.Cubic(from - (each * 0.2), low, from - (each * 0.8), low, from - each, (height / 2) - depth);
        }
        return pen.Close();
    }

    /// <summary>Upright sides, the lower edge one wide arc.</summary>
    private static Contour HalfRoundContour(double width, double height)
    {
        var side = Math.Min(height * 0.45, width / 2);
        const double Quarter = 0.5522847498;
        var (w, low) = (width / 2, height / 2);
        return new PathPen(-w, -low)
            .Line(w, -low)
            .Line(w, low - side)
            .Cubic(w, low - side + (side * Quarter), w * Quarter, low, 0, low)
            .Cubic(-w * Quarter, low, -w, low - side + (side * Quarter), -w, low - side)
            .Close();
    }
}

/// <summary>A form that a pattern's outline may take.</summary>
/// <param name="Id">Names it for ever.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Make">Its contour at a width, a height and a corner radius, mm, about the field's centre.</param>
internal sealed record SeamFormRow(string Id, string Name, Func<double, double, double, Contour> Make);
