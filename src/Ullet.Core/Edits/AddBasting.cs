using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Bastes a box round one piece, or round the whole design, on top of the stack.</summary>
public sealed record AddBasting : Edit
{
    /// <summary>The box lies this far outside what it goes round, mm: clear of covers, on cloth that is laid larger.</summary>
    public const double Margin = 6;

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
            return new Refusal("basting-unfit", "elementId", why);
        }
        var box = Round(project, round, context);
        if (box.IsEmpty)
        {
            return new Refusal("nothing-to-baste", "elementId", "There is nothing sewn yet that basting could go round.");
        }
        box = box.Grown(Margin);
        var hoop = project.Hooping.Hoop;
        if (!Box.Centred(hoop.FieldWidth, hoop.FieldHeight).Contains(box))
        {
            return new Refusal(
                "basting-outside-field",
                "elementId",
                $"A box {Margin:0} mm round it takes {box.Width:0.#} × {box.Height:0.#} mm and reaches out of the sewing field. "
                    + "Use a larger hoop, or draw a basting line that fits."
            );
        }
        var basting = new Element
        {
            Id = $"e{project.NextNumber}",
            Name = round is null ? "Basting" : $"Basting of {round.Name}",
            Box = new ElementBox(box.Centre.X, box.Centre.Y, box.Width, box.Height, 0),
            Form = new ShapeForm(new RectangleShape(2)),
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

/// <summary>Sets how basting is sewn and what it holds. All of it is given: a null goes back to the preset.</summary>
public sealed record SetBasting : MakingEdit<BastingMaking>
{
    /// <summary>mm.</summary>
    public double? StitchLength { get; init; }

    public string? ThreadId { get; init; }

    /// <summary>The element whose cloth it holds; null for what is hooped.</summary>
    public string? HoldsId { get; init; }

    public override string Label(Project before) => $"Change the basting of {PieceName(before)}";

    private protected override Result<Project> Change(Element element, BastingMaking making, Project project)
    {
        if (ThreadId is { } thread && project.FindThread(thread) is null)
        {
            return EditRefusals.NoThread(thread);
        }
        if (HoldsId is { } id && project.Find(id) is not { Making: ClothMaking })
        {
            return new Refusal("basting-unfit", "holdsId", "Basting holds a piece of cloth that is laid; choose one.");
        }
        var changed = making with { StitchLength = StitchLength, ThreadId = ThreadId, HoldsId = HoldsId };
        return Makings.MakingModules.Of(changed).Check(changed) is { } no
            ? no
            : project.With(element.WithSettings(changed));
    }
}
