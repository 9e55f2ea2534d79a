using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Opened;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;

namespace Ullet.Core.Edits;

/// <summary>Blocks of a design as elements.</summary>
internal static class OpenedBlocks
{
    /// <summary>Says why a design can't be opened, or null.</summary>
    internal static Refusal? Check(StitchDesign design)
    {
        var points = design.Blocks.Sum(block => block.StitchCount);
        var box = design.Bounds();
        return design.Blocks.IsEmpty || points == 0
                ? new Refusal("stitches-none", "token", "There is no stitch in this file.")
            : points < 2
                ? new Refusal(
                    "stitches-none",
                    "token",
                    "There is only one needle point in this file; nothing is sewn by it."
                )
            : design.Blocks.Length > StitchDesign.MostBlocks
                ? new Refusal(
                    "blocks-too-many",
                    "token",
                    $"This file has {design.Blocks.Length:N0} blocks; up to {StitchDesign.MostBlocks} are opened. Join what is sewn with one thread first."
                )
            : design.Threads.Length > StitchDesign.MostThreads
                ? new Refusal(
                    "threads-too-many",
                    "token",
                    $"This file has {design.Threads.Length:N0} colours; up to {StitchDesign.MostThreads} are opened."
                )
            : points > StitchDesign.MostPoints
                ? new Refusal(
                    "stitches-too-many",
                    "token",
                    $"This file has {points:N0} needle points; up to {StitchDesign.MostPoints:N0} are opened."
                )
            : Math.Max(box.Width, box.Height) > Limits.LargestSize
                ? new Refusal(
                    "stitches-too-large",
                    "token",
                    $"At this unit the design is {box.Width:N0} × {box.Height:N0} mm; up to {Limits.LargestSize:N0} mm are opened. Is the unit right?"
                )
            : null;
    }

    /// <summary>The elements in the order of the file.</summary>
    internal static ImmutableArray<Element> Of(
        StitchDesign design,
        OpenedFile file,
        OpenedStuff stuff,
        int firstNumber,
        string? group
    )
    {
        var move = Move(design, file.Reading);
        var roles = DesignRoles.Of(design.Blocks);
        var made = ImmutableArray.CreateBuilder<Element>();
        for (var i = 0; i < design.Blocks.Length; i++)
        {
            Budget.Spend();
            var block = design.Blocks[i];
            var form = OpenedForm.Of(Moved(block.Points, move));
            var isLast = i == design.Blocks.Length - 1;
            var told = RoleWords.Of(block.Words);
            made.Add(
                new Element
                {
                    Id = $"e{firstNumber + 1 + i}",
                    Name = NameOf(block, i, roles[i].Guess.Role),
                    Box = OpenedFrame.Box(form),
                    Form = form,
                    GroupId = group,
                    Making = new OpenedMaking
                    {
                        FileId = file.Id,
                        Place = i,
                        ThreadId = stuff.Threads[block.Thread],
                        Look = roles[i].Look,
                        Role = told ?? roles[i].Guess.Role,
                        Sureness = told is null ? roles[i].Guess.Sureness : null,
                        Words = block.Words is { Length: > 0 and <= Limits.LongestName } words ? words : null,
                        Before = Hands(block.Before, stuff, move),
                        After = isLast ? Hands(design.After, stuff, move) : Unsaid(design, i),
                    },
                }
            );
        }
        return made.ToImmutable();
    }

    /// <summary>How far the design is moved: its middle into the field's centre, or not at all; whole hundredths of a mm.</summary>
    private static Point Move(StitchDesign design, OpenedReading reading) =>
        reading.IsCentred ? (Point.Zero - design.Bounds().Centre).Rounded(NeedlePack.Grid) : Point.Zero;

    private static ImmutableArray<OpenedPoint> Moved(ImmutableArray<OpenedPoint> points, Point move) =>
        move == Point.Zero ? points : [.. points.Select(point => point with { At = point.At + move })];

    private static string NameOf(DesignBlock block, int number, OpenedRole role)
    {
        var own =
            block.Name is { Length: > 0 } name && Limits.CheckName(name, "") is null ? PlainText.Line(name) : null;
        var words = block.Words is { Length: > 0 and < 40 } said ? said : OpenedRoleTable.Of(role).Words;
        var full = own is null ? $"Block {number + 1}" : $"{own}, {words}";
        return full.Length <= Limits.LongestName ? full : full[..Limits.LongestName];
    }

    /// <summary>A stop without hands is kept as a hand step that says so.</summary>
    private static ImmutableArray<OpenedHands> Unsaid(StitchDesign design, int block) =>
        design.Blocks[block].StopAfter && design.Blocks[block + 1].Before.IsEmpty
            ? [new OpenedHands(HandKind.FreeText, OpenedHands.UnsaidStop)]
            : [];

    private static ImmutableArray<OpenedHands> Hands(
        ImmutableArray<OpenedHands> hands,
        OpenedStuff stuff,
        Point move
    ) =>
        [
            .. hands.Select(each =>
                each with
                {
                    Changes = [.. each.Changes.Select(change => OpenedChanges.Moved(InCloth(change, stuff), move))],
                }
            ),
        ];

    private static OpenedChange InCloth(OpenedChange change, OpenedStuff stuff) =>
        change is OpenedLaid laid ? laid with { ClothId = stuff.Cloths[laid.ClothId] } : change;
}
