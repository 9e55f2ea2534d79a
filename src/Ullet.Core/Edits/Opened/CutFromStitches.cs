using Ullet.Core.Geometry;
using Ullet.Core.Makings;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Makes a shape for the cutting table of a run or a border; the stitches are sewn on as they are.</summary>
public sealed record CutFromStitches : Edit
{
    /// <summary>The run or the border.</summary>
    public required string ElementId { get; init; }

    /// <summary>The cloth; null for the one that hands lay there, or the usual one.</summary>
    public string? ClothId { get; init; }

    /// <summary>How much larger it is cut on every side, mm; -5 to 30.</summary>
    public double Allowance { get; init; }

    public override string Label(Project before) => $"Cut a shape for {NameOf(before, [ElementId])}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        OpenedElement.Of(project, ElementId).Then(block => Cut(project, block));

    private Result<Project> Cut(Project project, OpenedElement block)
    {
        if (Limits.CheckRange(Allowance, -5, 30, "mm", "The cut allowance", "allowance") is { } wrong)
        {
            return wrong;
        }
        if (ClothId is { } wanted && project.FindCloth(wanted) is null)
        {
            return EditRefusals.NoCloth(wanted);
        }
        var found = FoundPieces
            .In(FoundPieces.BlocksOf(project, block.Making.FileId))
            .Where(each => each.Blocks.Any(own => own.Element.Id == ElementId))
            .ToList();
        if (found.Count == 0)
        {
            return new Refusal(
                "cut-nothing",
                "elementId",
                $"{block.Element.Name} goes round nothing that could be cut: a shape needs a closed run, or a border that closes."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
        }
        var cloth =
            project.FindCloth(ClothId)
            ?? found
                .SelectMany(each => each.Blocks)
                .SelectMany(own => own.Making.Before)
                .SelectMany(hands => hands.Changes)
                .OfType<OpenedLaid>()
                .Select(laid => project.FindCloth(laid.ClothId))
                .FirstOrDefault(known => known is not null)
            ?? UsualCloths.Of(project);
        if (cloth is null)
        {
            return EditRefusals.NoCloth("");
        }
        foreach (var (piece, blocks) in found)
        {
            var border = piece.Cover is { } cover ? blocks[piece.Blocks.IndexOf(cover.Block)].Element.Id : null;
            var element = DrawnElements.Piece(piece.Outline, Point.Zero) with
            {
                Id = $"e{project.NextNumber}",
                Name = OpenedNames.Cut(block.Element.Name),
                Making = new CutOnlyMaking
                {
                    ClothId = cloth.Id,
                    Allowance = Allowance == 0 ? null : Allowance,
                    CoveredBy = border,
                },
            };
            if (Limits.CheckBox(element.Box, element.Name) is { } large)
            {
                return large;
            }
            // Cloth lies under what is sewn on it.
            var lowest = project.Elements.IndexOf(
                project.Elements.First(each => blocks.Any(own => own.Element.Id == each.Id))
            );
            project = project with
            {
                Elements = project.Elements.Insert(lowest, element),
                NextNumber = project.NextNumber + 1,
            };
        }
        return project;
    }
}
