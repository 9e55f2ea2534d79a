using System.Collections.Immutable;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>An operation that can be added.</summary>
/// <param name="Name">What it is called before its numbers say more.</param>
/// <param name="About">What it is for, to somebody who never used it.</param>
/// <param name="Asks">What its sources are asked for; null when it needs none.</param>
/// <param name="Operation">The operation with its usual numbers, its sources still to be chosen.</param>
public sealed record OperationChoice(string Name, string About, string? Asks, Operation Operation)
{
    /// <summary>All of them, in the order in which they are offered. Remainders are mended where they are shown.</summary>
    public static readonly ImmutableArray<OperationChoice> All =
    [
        new("Carve", "Takes others out of it, with a gap", "Carved by", new Carve { SourceIds = [] }),
        new("Join", "Makes one outline with others", "Joined with", new Join { SourceIds = [] }),
        new("Keep overlap", "Keeps what lies inside others", "Kept inside", new KeepOverlap { SourceIds = [] }),
        new("Inset or outset", "Moves the whole edge in or out", null, new MoveEdge()),
        new("Round corners", "Rounds corners to a radius", null, new RoundCorners()),
        new("Repeat in a row", "Copies in a row, or along a drawn line", null, new RepeatInLine()),
        new("Repeat round a centre", "Copies in a ring or a fan", null, new RepeatRound()),
        new("Mirror", "Adds its mirror image", null, new Mirror()),
        new("Split", "Divides it by a line into two cloths", null, new Split()),
        new("Cut thin places", "Takes thin bridges and ends away", null, new CutNecks()),
    ];

    /// <summary>True when a line without cloth can have it.</summary>
    public bool WorksOnLines => OperationLimits.WorksOnLines(Operation);
}
