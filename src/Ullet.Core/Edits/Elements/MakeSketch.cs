using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Sketches;

namespace Ullet.Core.Edits;

/// <summary>Makes a whole small drawing in another way: its parts take the settings that they had when they were made so before.</summary>
public sealed record MakeSketch : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    public required SketchWay Way { get; init; }

    public override string Label(Project before) => $"Make the drawing {SketchFit.Words(Way)}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        Chosen.Find(project, ElementIds).Then(elements => Made(project, elements));

    private Result<Project> Made(Project project, ImmutableArray<Element> elements)
    {
        if (elements.All(element => SketchShelf.PartOf(element) is null))
        {
            return new Refusal(
                "not-a-sketch",
                "elementIds",
                "Nothing of what is selected is a part of a small drawing."
            );
        }
        foreach (var element in elements)
        {
            Budget.Spend();
            if (SketchShelf.PartOf(element) is not { } part || SketchMaking.IsMade(part, Way, element.Making))
            {
                continue;
            }
            var known = element.Kept.LastOrDefault(making => SketchMaking.IsMade(part, Way, making));
            project = known is null ? SketchStuff.With(project, part, Way) : project;
            project = project.With(element.Made(known ?? SketchStuff.Making(project, part, Way, element)));
        }
        return project;
    }
}
