using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Gives elements the width, the height, or both of one bare outline: of an element that stays, or of the largest among them.</summary>
public sealed record MatchSize : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>The element whose size is taken; null for the widest, or the tallest, among them.</summary>
    public string? KeyElementId { get; init; }

    public bool Width { get; init; }

    public bool Height { get; init; }

    /// <summary>With one of the two: true lets the other follow, false stretches.</summary>
    public bool KeepProportions { get; init; }

    public override string Label(Project before) =>
        KeyElementId is null
            ? $"Make {NameOf(before, ElementIds)} equally {(Width ? Height ? "large" : "wide" : "tall")}"
            : $"Match {NameOf(before, ElementIds)} to {before.Find(KeyElementId)?.Name ?? "an element"}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (KeyElementId is not null && project.Find(KeyElementId) is null)
        {
            return EditRefusals.NoElement(KeyElementId);
        }
        if (!Width && !Height)
        {
            return new Refusal("nothing-to-match", "width", "Say whether the width, the height or both are matched.");
        }
        return Chosen
            .Find(project, [.. ElementIds.Where(id => id != KeyElementId)])
            .Then(elements =>
            {
                var size = SizeOf(project, elements, context);
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

    /// <summary>The box whose width and height are taken, mm.</summary>
    private Box SizeOf(Project project, ImmutableArray<Element> elements, EditContext context)
    {
        if (KeyElementId is { } id)
        {
            return Bands.BoxOf(project.Find(id)!, context);
        }
        var boxes = elements.Select(element => Bands.BoxOf(element, context)).ToList();
        return Box.Centred(boxes.Max(box => box.Width), boxes.Max(box => box.Height));
    }
}
