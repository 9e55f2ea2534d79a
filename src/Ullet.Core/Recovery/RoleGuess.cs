using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Recovery;

/// <summary>What a block is for, and how sure that is, 0 to 1.</summary>
public readonly record struct GuessedRole(OpenedRole Role, double Sureness)
{
    /// <summary>Guesses less sure than this are marked as such.</summary>
    public const double Sure = 0.6;

    public bool IsUnsure => Sureness < Sure;
}

/// <summary>Guesses what blocks are for from what they look like and what stands beside them.</summary>
public static class RoleGuess
{
    /// <summary>Stitches at least this long are taken out again, mm.</summary>
    private const double BastingLength = 4.4;

    /// <summary>A seam's stitches are no longer, mm.</summary>
    private const double SeamLength = 2.42;

    /// <param name="blocks">The blocks in the order in which they are sewn.</param>
    /// <param name="stops">Whether the machine stops after each.</param>
    public static ImmutableArray<GuessedRole> Of(ImmutableArray<BlockReading> blocks, ImmutableArray<bool> stops)
    {
        var roles = new GuessedRole?[blocks.Length];
        var finder = new PieceFinder(blocks);
        var pieces = finder.Find();
        foreach (var piece in pieces)
        {
            Set(piece.Placement, OpenedRole.Placement, 0.95);
            Set(piece.Tack, OpenedRole.TackDown, piece.Cover is null ? 0.65 : 0.95);
            Set(piece.Cover?.Block, OpenedRole.Cover, 0.95);
        }
        foreach (var further in pieces.SelectMany(finder.Further))
        {
            // The last line of all that a piece has, in a seam's stitches, closes it.
            var closes = blocks[further].StitchLength <= SeamLength && further >= blocks.Length - 2;
            Set(further, closes ? OpenedRole.Seam : OpenedRole.TackDown, closes ? 0.55 : 0.7);
        }
        for (var i = 0; i < blocks.Length; i++)
        {
            Budget.Spend();
            roles[i] ??= Alone(blocks, stops, i);
        }
        return [.. roles.Select(role => role!.Value)];

        void Set(int? block, OpenedRole role, double sureness)
        {
            if (block is { } at && roles[at] is null)
            {
                roles[at] = new GuessedRole(role, sureness);
            }
        }
    }

    private static GuessedRole Alone(ImmutableArray<BlockReading> blocks, ImmutableArray<bool> stops, int i)
    {
        var block = blocks[i];
        return block.Look switch
        {
            OpenedLook.Run => OfRun(blocks, stops, i),
            OpenedLook.Bean => OfBean(block),
            OpenedLook.Satin => OfSatin(block),
            OpenedLook.Fill => new GuessedRole(OpenedRole.Decoration, 0.75),
            OpenedLook.Zigzag => new GuessedRole(block.IsRound ? OpenedRole.Cover : OpenedRole.Decoration, 0.55),
            OpenedLook.Blanket => new GuessedRole(OpenedRole.Cover, 0.7),
            OpenedLook.Motif => new GuessedRole(OpenedRole.Decoration, 0.5),
            OpenedLook.Mixed => new GuessedRole(OpenedRole.Decoration, 0.3),
        };
    }

    private static GuessedRole OfRun(ImmutableArray<BlockReading> blocks, ImmutableArray<bool> stops, int i)
    {
        var block = blocks[i];
        if (block.StitchLength >= BastingLength)
        {
            return new GuessedRole(OpenedRole.Basting, 0.85);
        }
        var longest = block.Lines.IsEmpty ? 0 : block.Lines.Max(line => line.Length());
        var isRound = block.Rings.Any();
        if (block.StitchLength <= SeamLength && longest > 45 && stops[i])
        {
            return new GuessedRole(OpenedRole.Seam, isRound ? 0.55 : 0.62);
        }
        if (isRound && Enumerable.Range(0, i).Any(k => stops[k] && RunsAlong(blocks[k], block)))
        {
            // A line over one before which hands laid something holds that.
            return new GuessedRole(OpenedRole.TackDown, 0.62);
        }
        if (isRound && stops[i])
        {
            return new GuessedRole(OpenedRole.Placement, 0.62);
        }
        if (isRound)
        {
            return new GuessedRole(OpenedRole.TackDown, 0.5);
        }
        if (block.StitchLength > 2.6 && block.Lines.Length > 6)
        {
            return new GuessedRole(OpenedRole.Quilting, 0.75);
        }
        return stops[i] ? new GuessedRole(OpenedRole.Seam, 0.5) : new GuessedRole(OpenedRole.Decoration, 0.5);
    }

    private static bool RunsAlong(BlockReading before, BlockReading block) =>
        before.Look == OpenedLook.Run
        && before.Rings.FirstOrDefault() is { } first
        && Rings.Offset(new Region(first.Ring(), []), [block.Rings.First().Ring()]) is { Spread: < 0.45 } lies
        && Math.Abs(lies.Usual) < 4;

    /// <summary>A short bar holds something; several small lines are letters.</summary>
    private static GuessedRole OfBean(BlockReading block) =>
        block.Lines.Length == 1 && !block.Lines[0].IsClosed && block.Lines[0].Length() < 40
            ? new GuessedRole(OpenedRole.Seam, 0.65)
        : block.Lines.Length > 3 ? new GuessedRole(OpenedRole.Lettering, 0.62)
        : new GuessedRole(OpenedRole.Decoration, 0.5);

    /// <summary>A band about a hole is a cover whose lines were not found; columns side by side are letters.</summary>
    private static GuessedRole OfSatin(BlockReading block)
    {
        if (block.Band is not { } band || band.Area.IsEmpty)
        {
            return new GuessedRole(OpenedRole.Decoration, 0.4);
        }
        if (band.Area.Length == 1 && block.IsRound)
        {
            return new GuessedRole(OpenedRole.Cover, 0.5);
        }
        var box = band.Area.Aggregate(Box.Empty, (all, region) => all.Union(region.Bounds()));
        var filled = band.Area.Sum(region => region.Area) / Math.Max(1, box.Width * box.Height);
        return band.Area.Length > 1 && filled < 0.75 && box.Width > box.Height
            ? new GuessedRole(OpenedRole.Lettering, 0.65)
            : new GuessedRole(OpenedRole.Decoration, 0.5);
    }
}
