using System.Collections.Immutable;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;

namespace Ullet.Core.Edits;

/// <summary>Makes one block of several that follow one another and are sewn with one thread; the first one's role stays.</summary>
public sealed record JoinOpened : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    public override string Label(Project before) => $"Join {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (ElementIds.IsDefaultOrEmpty || ElementIds.Distinct(StringComparer.Ordinal).Count() < 2)
        {
            return Unfit("Select two blocks or more to join them.");
        }
        var blocks = new List<OpenedElement>();
        foreach (var id in ElementIds.Distinct(StringComparer.Ordinal))
        {
            var found = OpenedElement.Of(project, id);
            if (!found.IsOk)
            {
                return found.Refusal!;
            }
            blocks.Add(found.Value);
        }
        blocks =
        [
            .. blocks.OrderBy(block => block.Making.Place).ThenBy(block => block.Element.Id, StringComparer.Ordinal),
        ];
        var first = blocks[0];
        return blocks.Exists(block => block.Making.FileId != first.Making.FileId)
                ? Unfit("They come from different files; blocks of one file can be joined.")
            : blocks.Exists(block => block.Making.ThreadId != first.Making.ThreadId)
                ? Unfit("They are sewn with different threads; give them one first.")
            : blocks.Skip(1).FirstOrDefault(block => !block.Making.Before.IsEmpty) is { } held
                ? Unfit($"Hands work before {held.Element.Name}: joined, the machine would run straight on.")
            : blocks.SkipLast(1).FirstOrDefault(block => !block.Making.After.IsEmpty) is { } ends
                ? Unfit($"Hands work after {ends.Element.Name}: joined, the machine would run straight on.")
            : Between(project, blocks) is { } other
                ? Unfit($"{other.Name} is sewn between them; what follows one another can be joined.")
            : Joined(project, blocks, context);
    }

    private static Result<Project> Joined(Project project, List<OpenedElement> blocks, EditContext context)
    {
        var points = blocks.SelectMany(block => block.OnWall()).ToImmutableArray();
        var form = OpenedForm.Of(points);
        var (first, last) = (blocks[0], blocks[^1]);
        var joined = first.Element with
        {
            Form = form,
            Box = OpenedFrame.Box(form),
            StaysCentred = false,
            Making = first.Making with
            {
                Look = BlockReader.LookOf(points),
                Before = OpenedFrames.OnWall(first.Making.Before, first.Map),
                After = OpenedFrames.OnWall(last.Making.After, last.Map),
            },
        };
        var kept = project.With(joined);
        return new RemoveElements { ElementIds = [.. blocks.Skip(1).Select(block => block.Element.Id)] }.Apply(
            kept,
            context
        );
    }

    /// <summary>A block of the file whose place is between those that are joined.</summary>
    private static Element? Between(Project project, List<OpenedElement> blocks) =>
        project.Elements.FirstOrDefault(element =>
            element.MadeAs<OpenedMaking>() is { IsResting: false } own
            && own.FileId == blocks[0].Making.FileId
            && own.Place > blocks[0].Making.Place
            && own.Place < blocks[^1].Making.Place
            && blocks.TrueForAll(block => block.Element.Id != element.Id)
        );

    private static Refusal Unfit(string words) =>
        new("join-unfit", "elementIds", words) { Kind = RefusalKind.NotPossible };
}

/// <summary>Hand steps in another frame.</summary>
internal static class OpenedFrames
{
    /// <summary>Hand steps whose areas are said as they lie on the wall.</summary>
    internal static ImmutableArray<OpenedHands> OnWall(ImmutableArray<OpenedHands> hands, Geometry.Affine map) =>
        [
            .. hands.Select(each =>
                each with
                {
                    Changes = [.. each.Changes.Select(change => OpenedChanges.Mapped(change, map))],
                }
            ),
        ];
}
