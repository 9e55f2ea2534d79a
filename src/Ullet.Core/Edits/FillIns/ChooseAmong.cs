using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Sketches;

namespace Ullet.Core.Edits;

/// <summary>Lets every order choose among what stands in a place and a few drawings of the shelf, each fitted to that place.</summary>
public sealed record ChooseAmong : Edit
{
    /// <summary>What stands in the place now: the first of the choices.</summary>
    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>The drawings of the shelf.</summary>
    public required ImmutableArray<string> SketchIds { get; init; }

    /// <summary>How they are made.</summary>
    public SketchWay Way { get; init; }

    /// <summary>What it is called in the order book.</summary>
    public required string Name { get; init; }

    public string? Group { get; init; }

    public override string Label(Project before) => $"Let {Name} be chosen from order to order";

    public override Result<Project> Apply(Project project, EditContext context) =>
        Chosen.Find(project, ElementIds, mayBeLocked: true).Then(elements => Marked(project, elements, context));

    private Result<Project> Marked(Project project, ImmutableArray<Element> standing, EditContext context)
    {
        var place = standing.Aggregate(Box.Empty, (box, element) => box.Union(Bands.BoxOf(element, context)));
        if (place.IsEmpty)
        {
            return new Refusal(
                "place-empty",
                "elementIds",
                "What is selected takes no place that a drawing could take."
            );
        }
        var options = ImmutableArray.Create(new DrawingOption(NameOf(standing), standing));
        var id = $"f{project.NextNumber}";
        var within = project with { NextNumber = project.NextNumber + 1 };
        foreach (var sketchId in SketchIds)
        {
            var made = Option(within, sketchId, place, context);
            if (!made.IsOk)
            {
                return made.Refusal!;
            }
            within = made.Value.Project;
            options = options.Add(made.Value.Option);
        }
        var fillIn = new DrawingFillIn
        {
            Id = id,
            Label = Name,
            Group = Group,
            ElementIds = ElementIds,
            Options = options,
        };
        return fillIn.Check() is { } refusal ? refusal : within with { FillIns = within.FillIns.Add(fillIn) };
    }

    private static string NameOf(ImmutableArray<Element> standing) =>
        standing[^1].Sketch is { } use && SketchShelf.Find(use.SketchId) is { } sketch
            ? sketch.Name
            : standing[^1].Name;

    /// <summary>A drawing in the place: set once to see how large it comes out, and then as large as the place takes.</summary>
    private Result<(Project Project, DrawingOption Option)> Option(
        Project project,
        string sketchId,
        Box place,
        EditContext context
    )
    {
        var first = Set(project, sketchId, Math.Max(place.Width, place.Height), place, context);
        return first.Then(trial =>
        {
            var box = trial.Added.Aggregate(Box.Empty, (all, element) => all.Union(Bands.BoxOf(element, context)));
            var factor = Math.Min(place.Width / box.Width, place.Height / box.Height);
            var size = Math.Max(place.Width, place.Height) * Math.Min(1, factor);
            return Set(project, sketchId, size, place, context)
                .Then(made =>
                    (Result<(Project, DrawingOption)>)
                        (
                            project with
                            {
                                Cloths = made.After.Cloths,
                                Threads = made.After.Threads,
                                NextNumber = made.After.NextNumber,
                            },
                            new DrawingOption(
                                SketchShelf.Find(sketchId)?.Name
                                    ?? context.OwnSketches.Find(sketchId)?.Name
                                    ?? sketchId,
                                Centred(made.Added, place, context)
                            )
                        )
                );
        });
    }

    /// <summary>A drawing in the middle of the place: what was left out of it for its size counts no more.</summary>
    private static ImmutableArray<Element> Centred(ImmutableArray<Element> added, Box place, EditContext context)
    {
        var box = added.Aggregate(Box.Empty, (all, element) => all.Union(Bands.BoxOf(element, context)));
        var by = place.Centre - box.Centre;
        return [.. added.Select(element => element with { Box = element.Box.Moved(by.X, by.Y) })];
    }

    private Result<(Project After, ImmutableArray<Element> Added)> Set(
        Project project,
        string sketchId,
        double size,
        Box place,
        EditContext context
    ) =>
        new AddSketch
        {
            SketchId = sketchId,
            Way = Way,
            Size = size,
            X = place.Centre.X,
            Y = place.Centre.Y,
        }
            .Apply(project, context)
            .Then(after =>
                (Result<(Project, ImmutableArray<Element>)>)
                    (after, [.. after.Elements.Where(element => project.Find(element.Id) is null)])
            );
}
