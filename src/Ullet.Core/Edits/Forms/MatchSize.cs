using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Gives elements the width, the height, or both of another element's bare outline.</summary>
public sealed record MatchSize : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>The element whose size is taken.</summary>
    public required string KeyElementId { get; init; }

    public bool Width { get; init; }

    public bool Height { get; init; }

    /// <summary>With one of the two: true lets the other follow, false stretches.</summary>
    public bool KeepProportions { get; init; }

    public override string Label(Project before) =>
        $"Match {NameOf(before, ElementIds)} to {before.Find(KeyElementId)?.Name ?? "an element"}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (project.Find(KeyElementId) is not { } key)
        {
            return EditRefusals.NoElement(KeyElementId);
        }
        if (!Width && !Height)
        {
            return new Refusal("nothing-to-match", "width", "Say whether the width, the height or both are matched.");
        }
        var size = Bands.BoxOf(key, context);
        return Chosen
            .Find(project, [.. ElementIds.Where(id => id != KeyElementId)])
            .Then(elements =>
            {
                Result<Project> changed = project;
                foreach (var element in elements)
                {
                    var own = Bands.BoxOf(element, context);
                    var (across, down) = (Width ? size.Width / own.Width : 1, Height ? size.Height / own.Height : 1);
                    // A turned form has no width of its own to stretch: it grows as a whole.
                    if (KeepProportions || element.Box.Rotation % 90 != 0)
                    {
                        across = down =
                            Width && Height ? Math.Min(across, down)
                            : Width ? across
                            : down;
                    }
                    else if (Math.Abs(element.Box.Rotation % 180) > 1)
                    {
                        (across, down) = (down, across);
                    }
                    changed = changed.Then(so => Resizing.Scaled(so, element, across, down, context));
                }
                return changed;
            });
    }
}
