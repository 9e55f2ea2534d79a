using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Makes the whole design larger or smaller about the field's middle, locked elements too, and takes the smallest hoop that
/// it fits into then. Lengths in operations, rooms of words and areas that hands lay grow along;
/// numbers of stitching stay as they are set. A pattern is made anew by its own numbers.</summary>
public sealed record ResizeDesign : Edit
{
    /// <summary>Width of all bare outlines together, mm; the height follows. Left out where a pattern's numbers are given.</summary>
    public double? Width { get; init; }

    /// <summary>Sizes and counts of the pattern that the project was made from.</summary>
    public ImmutableArray<PatternNumber> Numbers { get; init; } = [];

    public override string Label(Project before) => "Make the design in another size";

    /// <returns>The document in the other size, or "size-missing", "size-wrong", "pattern-numbers-missing", "no-pattern".</returns>
    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (project.Pattern is { } use)
        {
            return Numbers.IsEmpty
                ? new Refusal(
                    "pattern-numbers-missing",
                    "numbers",
                    "This project was made from a pattern: give the pattern's own sizes, so that seams and allowances stay."
                )
                : new UsePattern { PatternId = use.PatternId, Numbers = Numbers }.Apply(project, context);
        }
        if (!Numbers.IsEmpty)
        {
            return new Refusal("no-pattern", "numbers", "This project was not made from a pattern; give a width.");
        }
        if (Width is not { } width)
        {
            return new Refusal("size-missing", "width", "Say how wide the design is to be.");
        }
        var whole = BareBox(project, context);
        if (whole.IsEmpty || whole.Width <= 0)
        {
            return new Refusal("nothing-to-place", "width", "There is nothing on the wall that could be resized.");
        }
        var by = width / whole.Width;
        if (Limits.CheckRange(width, Limits.SmallestSize, Limits.LargestSize, "mm", "The width", "width") is { } wrong)
        {
            return wrong;
        }
        return new PlaceElements
        {
            ElementIds = [.. project.Elements.Select(element => element.Id)],
            X = whole.Centre.X * by,
            Y = whole.Centre.Y * by,
            Width = width,
            KeepProportions = true,
            IsLargeMeant = true,
        }
            .Apply(Locked(project, _ => false), context)
            .Then(sized => GrownAlong(sized, by))
            .Then(sized => InFittingHoop(Kept(sized, project), context));
    }

    /// <summary>What is given in mm beside the elements' boxes, grown with them: lengths in operations, rooms of words, areas that
    /// hands lay.</summary>
    private static Result<Project> GrownAlong(Project sized, double by)
    {
        var elements = sized.Elements.Select(element =>
            element with
            {
                Operations = [.. element.Operations.Select(operation => operation.Scaled(by))],
            }
        );
        var grown = sized with
        {
            Elements = [.. elements],
            FillIns = [.. sized.FillIns.Select(fillIn => fillIn.Scaled(by))],
            Hoopings = [.. sized.Hoopings.Select(hooping => Grown(hooping, by))],
        };
        return
            grown
                .Elements.SelectMany(element =>
                    element.Operations.Where(operation => !operation.IsMuted).Select(OperationLimits.Check)
                )
                .FirstOrDefault(wrong => wrong is not null)
                is { } refusal
            ? refusal
            : grown;
    }

    private static Hooping Grown(Hooping hooping, double by) =>
        hooping with
        {
            RunSheet = hooping.RunSheet with
            {
                Hands = [.. hooping.RunSheet.Hands.Select(hand => hand with { Area = hand.Area?.Scaled(by) })],
            },
        };

    /// <summary>What placing let go of, as it was before.</summary>
    private static Project Kept(Project sized, Project before) =>
        sized with
        {
            Elements =
            [
                .. sized.Elements.Select(element =>
                    before.Find(element.Id) is { } was
                        ? element with
                        {
                            IsLocked = was.IsLocked,
                            StaysCentred = was.StaysCentred,
                        }
                        : element
                ),
            ],
        };

    /// <summary>The box of all bare outlines of a project, mm; empty without any.</summary>
    public static Box BareBox(Project project, EditContext context) =>
        project.Elements.Aggregate(Box.Empty, (sum, each) => sum.Union(Bands.BoxOf(each, context)));

    private static Project Locked(Project project, Func<Element, bool> isLocked) =>
        project with
        {
            Elements = [.. project.Elements.Select(element => element with { IsLocked = isLocked(element) })],
        };

    /// <summary>The document in the smallest hoop that takes every needle point; in its own where none does.</summary>
    private static Result<Project> InFittingHoop(Project project, EditContext context)
    {
        var design = context.Evaluator.Evaluate(project, context.Cancellation).DesignBounds();
        return Hoop.SmallestFor(design) is { } hoop && hoop != project.Hooping.Hoop
            ? SetHooping.To(hoop).Apply(project, context)
            : project;
    }
}
