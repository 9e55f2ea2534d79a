using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Bastes round one piece, or a box round the whole design, on top of the stack. Round a piece it is a box where that lies on
/// the piece's cloth, else it follows the edge.</summary>
public sealed record AddBasting : Edit
{
    /// <summary>The box lies this far outside what it goes round, mm: clear of covers, on cloth that is laid larger.</summary>
    public const double Margin = 6;

    private static readonly RectangleShape Corners = new(2);

    /// <summary>The piece whose cloth it holds; null for the whole design on what is hooped.</summary>
    public string? ElementId { get; init; }

    public override string Label(Project before) =>
        ElementId is { } id ? $"Baste round {before.Find(id)?.Name ?? "a piece"}" : "Baste round the design";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var round = ElementId is { } id ? project.Find(id) : null;
        if (ElementId is not null && round is null)
        {
            return EditRefusals.NoElement(ElementId);
        }
        if (round is not null && Unfit(round) is { } why)
        {
            return new Refusal("basting-unfit", "elementId", why) { Kind = RefusalKind.NotPossible };
        }
        var about = Round(project, round, context);
        if (about.IsEmpty)
        {
            return new Refusal(
                "nothing-to-baste",
                "elementId",
                "There is nothing sewn yet that basting could go round."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
        }
        var edge = round is null ? null : Edge(project, round, about.Grown(Margin), context);
        var box = edge?.Bounds() ?? about.Grown(Margin);
        var hoop = project.Hooping.Hoop;
        if (!Box.Centred(hoop.FieldWidth, hoop.FieldHeight).Contains(box))
        {
            return new Refusal(
                "basting-outside-field",
                "elementId",
                $"A box {Margin:0} mm round it takes {box.Width:0.#} × {box.Height:0.#} mm and reaches out of the sewing field. "
                    + "Use a larger hoop, or draw a basting line that fits."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
        }
        var basting = new Element
        {
            Id = $"e{project.NextNumber}",
            Name = round is null ? "Basting" : $"Basting of {round.Name}",
            Box = new ElementBox(box.Centre.X, box.Centre.Y, box.Width, box.Height, 0),
            Form = edge is null ? new ShapeForm(Corners) : new DrawingForm(DrawnElements.ShapeOf(edge)),
            Making = new BastingMaking { HoldsId = round?.Id },
        };
        return Limits.CheckName(basting.Name, "The basting") is { } tooLong
            ? tooLong
            : project with
            {
                Elements = project.Elements.Add(basting),
                NextNumber = project.NextNumber + 1,
            };
    }

    /// <summary>The line round a piece where a box would leave its cloth, which is laid only so much larger than the piece; null where
    /// the box lies on it.</summary>
    private static Outline? Edge(Project project, Element element, Box box, EditContext context)
    {
        var outline = context.Evaluator.Shape(project, element).Outline.Whole;
        var cloth = new AreaIndex(RegionOffset.By(outline.Flatten(), Laying.Margin));
        var line = ShapeContours
            .Outline(Corners, box.Width, box.Height)
            .Transform(Affine.Translate(box.Centre.X, box.Centre.Y));
        if (line.Flatten().SelectMany(region => region.Rings).SelectMany(ring => ring.Points).All(cloth.Holds))
        {
            return null;
        }
        var moved = new MovedEdgeInput(outline, OutlineHash.Of(outline), Margin, CornerStyle.Round);
        var round = new MovedEdgeStation().Compute(moved, context.Cancellation);
        return new Outline([.. round.Parts.Select(part => part with { Holes = [] })]);
    }

    /// <summary>Says why a box round an element would miss its cloth, or null.</summary>
    private static string? Unfit(Element element) =>
        AppliqueElement.Of(element) is not { } piece
            ? $"{element.Name} is not made of cloth; basting goes round a piece of cloth, or round the whole design."
        : AppliqueMethods.Of(piece.Method).CutsToSize
            ? $"{element.Name} is cut to its size before it is laid, so a box round it would miss its cloth. Draw a line across it and "
                + "make that basting."
        : null;

    private static Box Round(Project project, Element? element, EditContext context)
    {
        var sewn = element is null
            ? project.Elements.Where(each => each.Making.IsSewn && each.MadeAs<BastingMaking>() is null)
            : [element];
        return sewn.Aggregate(
            Box.Empty,
            (all, each) =>
                context.Evaluator.Shape(project, each).Outline.Whole is { IsEmpty: false } outline
                    ? all.Union(outline.Bounds().Grown(Bands.Outside(each, project)))
                    : all
        );
    }
}
