using System.Collections.Immutable;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Leans elements to the side; their height stays, their width grows with the lean.</summary>
public sealed record SkewElements : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>To the right, degrees; -60 to 60, 0 upright.</summary>
    public required double Degrees { get; init; }

    public override string Label(Project before) => $"Skew {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        Chosen
            .Find(project, ElementIds)
            .Then(elements =>
            {
                if (
                    Limits.CheckRange(Degrees, -Limits.MostSkew, Limits.MostSkew, "degrees", "The skew", "degrees") is
                    { } refusal
                )
                {
                    return refusal;
                }
                Result<Project> changed = project;
                foreach (var element in elements)
                {
                    var width = LeanedWidth(element, context);
                    var box = element.Box with { Skew = Degrees, Width = width };
                    changed = changed.Then(so => Resizing.InBox(so, element, box, context));
                }
                return changed;
            });

    /// <summary>Width of the element's own form when its lean is changed and nothing is squeezed, mm.</summary>
    private double LeanedWidth(Element element, EditContext context)
    {
        var own = element with { Box = element.Box with { X = 0, Y = 0, Rotation = 0, IsFlipped = false } };
        var upright = context.Evaluator.OutlineOf(own).Transform(BoxFit.Lean(element.Box.Skew).Inverse());
        return upright.Transform(BoxFit.Lean(Degrees)).Bounds().Width;
    }
}
