using Ullet.Core.Layers;
using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Puts the hand step before opened stitches that a tack-down, or a cover over an edge that has to be trimmed, needs and the file
/// does not say: lay the cloth, or trim it.</summary>
public sealed record LayBetween : Edit
{
    /// <summary>The stitches before which hands work.</summary>
    public required string ElementId { get; init; }

    /// <summary>Lay, or trim.</summary>
    public HandKind Kind { get; init; } = HandKind.Lay;

    /// <summary>The cloth that is laid; null for the usual one.</summary>
    public string? ClothId { get; init; }

    public override string Label(Project before) =>
        $"{(Kind == HandKind.Trim ? "Trim" : "Lay the cloth")} before {NameOf(before, [ElementId])}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        OpenedElement.Of(project, ElementId).Then(block => Put(project, block));

    /// <summary>The document in which a stop right before the block, of which nobody knew what it is for, is this one.</summary>
    private static Project Said(Project project, OpenedElement block) =>
        FoundPieces
            .BlocksOf(project, block.Making.FileId)
            .LastOrDefault(other => other.Making.Place < block.Making.Place && !other.Making.IsResting)
            is { } before
        && before.Making.After is [.., { IsUnsaid: true }]
            ? project.With(before.Element with { Making = before.Making with { After = before.Making.After[..^1] } })
            : project;

    private Result<Project> Put(Project project, OpenedElement block)
    {
        if (Kind is not (HandKind.Lay or HandKind.Trim))
        {
            return new Refusal("hand-unfit", "kind", "Before opened stitches a cloth is laid, or trimmed.");
        }
        if (block.Making.Before.Length >= OpenedMaking.MostHands)
        {
            return new Refusal(
                "too-many",
                "hands",
                $"A block takes up to {OpenedMaking.MostHands} hand steps before it."
            );
        }
        if ((ClothId is null ? UsualCloths.Of(project) : project.FindCloth(ClothId)) is not { } cloth)
        {
            return EditRefusals.NoCloth(ClothId ?? "");
        }
        var bounds = block.Form.Bounds.Grown(Applique.Laying.Margin);
        var area = new OpenedArea([
            [bounds.MinX, bounds.MinY, bounds.MaxX, bounds.MinY, bounds.MaxX, bounds.MaxY, bounds.MinX, bounds.MaxY],
        ]);
        var hands =
            Kind == HandKind.Trim
                ? new OpenedHands(
                    HandKind.Trim,
                    "Take the hoop off the machine, leave the work in it, and trim the cloth close to the tack-down."
                )
                {
                    Warning = "Do not cut the ground, nor the stitches.",
                    HoopOff = true,
                }
                : new OpenedHands(
                    HandKind.Lay,
                    $"Lay {cloth.Name} face up over the line that was sewn last; it must be at least "
                        + $"{LengthText.AtLeast(bounds.Width, bounds.Height)}."
                )
                {
                    Check = "Check that it covers the line all round and lies flat before you press start.",
                    Changes =
                    [
                        new OpenedLaid(
                            $"laid{block.Making.Place}",
                            cloth.Name,
                            cloth.Id,
                            true,
                            false,
                            LayerRole.Outer,
                            [area]
                        ),
                    ],
                };
        project = Said(project, block);
        return project.With(
            block.Element with
            {
                Making = block.Making with { Before = block.Making.Before.Add(hands) },
            }
        );
    }
}
