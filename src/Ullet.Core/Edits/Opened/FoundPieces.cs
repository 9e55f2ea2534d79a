using System.Collections.Immutable;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;

namespace Ullet.Core.Edits;

/// <summary>Pieces of cloth in opened stitches as they stand on the wall, with the elements that they were read off.</summary>
internal static class FoundPieces
{
    /// <summary>The pieces of blocks of one file, in its order; a border that stands alone is one as well.</summary>
    internal static ImmutableArray<(RecoveredPiece Piece, ImmutableArray<OpenedElement> Blocks)> In(
        IReadOnlyList<OpenedElement> blocks
    )
    {
        var readings = blocks.Select(block => BlockReader.Read(block.OnWall())).ToImmutableArray();
        var anyHands = blocks.Any(block => !block.Making.Before.IsEmpty);
        var found = new PieceFinder(readings, i => anyHands ? Between(blocks[i].Making) : null).Find().ToList();
        var used = found.SelectMany(piece => piece.Blocks).ToHashSet();
        found.AddRange(
            Enumerable
                .Range(0, readings.Length)
                .Where(i => !used.Contains(i))
                .SelectMany(i => BorderPieces.Of(i, readings[i]))
        );
        return
        [
            .. found
                .OrderBy(piece => piece.Blocks[0])
                .Select(piece => (piece, piece.Blocks.Select(i => blocks[i]).ToImmutableArray())),
        ];
    }

    /// <summary>All blocks of a file that are there, in its order.</summary>
    internal static ImmutableArray<OpenedElement> BlocksOf(Project project, string fileId) =>
        [
            .. project
                .Elements.Where(element =>
                    element.MadeAs<OpenedMaking>()?.FileId == fileId && element.Form is OpenedForm
                )
                .Select(element => new OpenedElement(
                    element,
                    (OpenedForm)element.Form,
                    element.MadeAs<OpenedMaking>()!
                ))
                .OrderBy(block => block.Making.Place),
        ];

    private static HandsBetween Between(OpenedMaking making)
    {
        var laid = making.Before.SelectMany(hands => hands.Changes).OfType<OpenedLaid>().ToList();
        return new HandsBetween(
            laid.Exists(each => !each.IsBeneath) || making.Before.Any(hands => hands.Kind == HandKind.Lay),
            laid.Exists(each => each.IsBeneath),
            making.Before.Any(hands => hands.Kind == HandKind.Trim)
        );
    }
}
