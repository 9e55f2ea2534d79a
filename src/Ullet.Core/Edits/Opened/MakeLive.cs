using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Makings;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;

namespace Ullet.Core.Edits;

/// <summary>Makes pieces of cloth of opened stitches: outline, method, cover and its numbers are read off them. The stitches stay beside
/// the piece, without being sewn, until they are deleted.</summary>
public sealed record MakeLive : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>The cloth; null for the one that hands lay, or the usual one.</summary>
    public string? ClothId { get; init; }

    public override string Label(Project before) => $"Make {NameOf(before, ElementIds)} live";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (ElementIds.IsDefaultOrEmpty)
        {
            return new Refusal("nothing-selected", "elementIds", "Nothing is selected; select opened stitches first.");
        }
        if (ClothId is { } wanted && project.FindCloth(wanted) is null)
        {
            return EditRefusals.NoCloth(wanted);
        }
        var files = new HashSet<string>(StringComparer.Ordinal);
        foreach (var id in ElementIds)
        {
            var block = OpenedElement.Of(project, id);
            if (!block.IsOk)
            {
                return block.Refusal!;
            }
            files.Add(block.Value.Making.FileId);
        }
        // One block of a piece stands for all of them: its placement, its tack-down, its border.
        var found = files
            .SelectMany(file =>
                FoundPieces.In([.. FoundPieces.BlocksOf(project, file).Where(block => !block.Making.IsResting)])
            )
            .Where(each => each.Blocks.Any(block => ElementIds.Contains(block.Element.Id)))
            .ToList();
        if (found.Count == 0)
        {
            return new Refusal(
                "live-nothing",
                "elementIds",
                "Nothing closed was found in what is selected: a piece needs a placement, an outline run or a border that goes round it. "
                    + "Select those, or split off what is more than one of them."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
        }
        foreach (var (piece, blocks) in found)
        {
            var made = Made(project, piece, blocks);
            if (!made.IsOk)
            {
                return made.Refusal!;
            }
            project = made.Value;
        }
        return project;
    }

    private Result<Project> Made(Project project, RecoveredPiece piece, ImmutableArray<OpenedElement> blocks)
    {
        if ((project.FindCloth(ClothId) ?? LaidCloth(project, blocks) ?? UsualCloths.Of(project)) is not { } cloth)
        {
            return EditRefusals.NoCloth("");
        }
        var element = DrawnElements.Piece(piece.Outline, Point.Zero) with
        {
            Id = $"e{project.NextNumber}",
            Name = NameOf(blocks),
            GroupId = blocks[0].Element.GroupId,
            Making = LiveCloth.Of(piece, cloth, number => ThreadOf(blocks, piece, number)),
        };
        if (Limits.CheckBox(element.Box, element.Name) is { } wrong)
        {
            return wrong;
        }
        var last = project
            .Elements.Select((each, i) => (each, i))
            .Last(pair => blocks.Any(block => block.Element.Id == pair.each.Id))
            .i;
        var resting = project.Elements.Select(each =>
            blocks.FirstOrDefault(block => block.Element.Id == each.Id) is { } block
                ? each with
                {
                    Making = block.Making with { IsResting = true },
                }
                : each
        );
        var made = project with
        {
            Elements = [.. resting.Take(last + 1), element, .. resting.Skip(last + 1)],
            NextNumber = project.NextNumber + 1,
        };
        return HandsLeft.Handed(made, blocks);
    }

    private static string? ThreadOf(ImmutableArray<OpenedElement> blocks, RecoveredPiece piece, int? number) =>
        number is { } block && piece.Blocks.IndexOf(block) is >= 0 and var at ? blocks[at].Making.ThreadId : null;

    /// <summary>The cloth that hands lay before one of the blocks.</summary>
    private static Cloth? LaidCloth(Project project, ImmutableArray<OpenedElement> blocks) =>
        blocks
            .SelectMany(block => block.Making.Before)
            .SelectMany(hands => hands.Changes)
            .OfType<OpenedLaid>()
            .Select(laid => project.FindCloth(laid.ClothId))
            .FirstOrDefault(cloth => cloth is not null);

    /// <summary>What the blocks' names have in common before the comma.</summary>
    private static string NameOf(ImmutableArray<OpenedElement> blocks)
    {
        var own = blocks[0].Element.Name.Split(", ")[0];
        return own.Length > 0 && !own.StartsWith("Block ", StringComparison.Ordinal) ? own : "Piece";
    }
}
