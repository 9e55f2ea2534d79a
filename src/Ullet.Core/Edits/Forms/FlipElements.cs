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
