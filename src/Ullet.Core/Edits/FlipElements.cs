using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Mirrors elements about the middle of them all.</summary>
public sealed record FlipElements : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>Across: left becomes right. Down: top becomes bottom.</summary>
    public required Direction Direction { get; init; }

    public override string Label(Project before) => $"Flip {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        Chosen
            .Find(project, ElementIds)
            .Then(elements =>
            {
                var box = elements.Aggregate(Box.Empty, (sum, each) => sum.Union(Bands.BoxOf(each, context)));
                return (Result<Project>)
                    elements.Aggregate(
                        project,
                        (so, element) => so.With(element with { Box = Mirrored(element.Box, box.Centre) })
                    );
            });

    private ElementBox Mirrored(ElementBox box, Point middle) =>
        Direction == Direction.Across
            ? box with
            {
                X = (2 * middle.X) - box.X,
                Rotation = -box.Rotation,
                IsFlipped = !box.IsFlipped,
            }
            : box with
            {
                Y = (2 * middle.Y) - box.Y,
                Rotation = (180 - box.Rotation) % 360,
                IsFlipped = !box.IsFlipped,
            };
}

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
                    var by = Lean(element, Degrees, context) / Lean(element, element.Box.Skew, context);
                    var box = element.Box with { Skew = Degrees, Width = element.Box.Width * by };
                    changed = changed.Then(so => Resizing.InBox(so, element, box, context));
                }
                return changed;
            });

    /// <summary>Width of the element's upright form when it leans, at one scale for every angle.</summary>
    private static double Lean(Element element, double degrees, EditContext context)
    {
        var upright = element with
        {
            Box = element.Box with { X = 0, Y = 0, Rotation = 0, Skew = 0, IsFlipped = false },
        };
        var lean = new Affine(1, 0, -Math.Tan(degrees * Math.PI / 180), 1, 0, 0);
        return Math.Max(context.Evaluator.OutlineOf(upright).Transform(lean).Bounds().Width, 1e-9);
    }
}
