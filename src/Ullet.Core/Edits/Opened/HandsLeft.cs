using System.Collections.Immutable;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Keeps the hand steps of blocks that are no longer sewn, where what was made of the blocks does not do them itself.</summary>
internal static class HandsLeft
{
    /// <summary>The document in which they belong to the next block of the file that is sewn, or to the last one before; hands of the
    /// user's own where there is none.</summary>
    /// <param name="project">The document.</param>
    /// <param name="blocks">Blocks of one file that are no longer sewn.</param>
    internal static Project Handed(Project project, IReadOnlyList<OpenedElement> blocks)
    {
        foreach (var block in blocks)
        {
            var left = block
                .Making.Before.Concat(block.Making.After)
                .Where(hands => !IsOfPiece(hands))
                .ToImmutableArray();
            if (left.IsEmpty)
            {
                continue;
            }
            var others = FoundPieces
                .BlocksOf(project, block.Making.FileId)
                .Where(other => !other.Making.IsResting && blocks.All(own => own.Element.Id != other.Element.Id))
                .ToList();
            if (others.Find(other => other.Making.Place > block.Making.Place) is { } next)
            {
                project = project.With(
                    next.Element with
                    {
                        Making = next.Making with { Before = [.. left, .. next.Making.Before] },
                    }
                );
            }
            else if (others.LastOrDefault() is { } before)
            {
                project = project.With(
                    before.Element with
                    {
                        Making = before.Making with { After = [.. before.Making.After, .. left] },
                    }
                );
            }
            else
            {
                project = Own(project, left);
            }
        }
        return project;
    }

    /// <summary>What a piece of cloth does by itself: it is laid, and trimmed; a stop that nobody explained was for that.</summary>
    private static bool IsOfPiece(OpenedHands hands) =>
        hands.IsUnsaid || hands.Kind is HandKind.Lay or HandKind.LayBehind or HandKind.Trim;

    private static Project Own(Project project, ImmutableArray<OpenedHands> left)
    {
        foreach (var hands in left)
        {
            var step = new UserHandStep($"u{project.NextNumber}", hands.Kind, Short(hands.Text))
            {
                Warning = hands.Warning is { } warning ? Short(warning) : null,
                Check = hands.Check is { } check ? Short(check) : null,
                HoopOff = hands.HoopOff,
            };
            project = project with
            {
                NextNumber = project.NextNumber + 1,
                RunSheet = project.RunSheet with { Hands = project.RunSheet.Hands.Add(step) },
            };
        }
        return project;
    }

    private static string Short(string text) =>
        text.Length <= UserHandStep.LongestText ? text : text[..(UserHandStep.LongestText - 1)] + "…";
}
