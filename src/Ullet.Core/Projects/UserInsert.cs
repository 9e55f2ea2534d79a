using System.Collections.Frozen;
using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>What hands put into a seam.</summary>
public enum InsertKind
{
    RibbonLoop,
    Tab,
    RingOnTape,
}

/// <summary>On which side of the seam's outline.</summary>
public enum InsertSide
{
    Top,
    Right,
    Bottom,
    Left,
}

/// <summary>Something folded that is laid inwards with its raw ends in a seam.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="On">The element that is the seam.</param>
public sealed record UserInsert(InsertKind Kind, string On)
{
    /// <summary>Raw ends lie this far past the seam, mm.</summary>
    public const double Outside = 10;

    public InsertSide Side { get; init; }

    /// <summary>Where along that side, %: from the left, or from the top; 0 to 100.</summary>
    public double Along { get; init; } = 50;

    /// <summary>mm; 5 to 100.</summary>
    public double Width { get; init; } = 20;

    /// <summary>How far its fold lies inside the seam, mm; 10 to 150.</summary>
    public double Length { get; init; } = 25;

    /// <summary>What is cut for it before it is folded, mm.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double Cut => 2 * (Length + Outside);
}

/// <summary>What is known of a kind of insert.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Fold">How it is made ready, with {0} for its length in mm and {1} for its cloth.</param>
/// <param name="Warning">What must not go wrong; null for nothing of its own.</param>
public sealed record InsertRow(InsertKind Kind, string Name, string Fold, string? Warning);

/// <summary>All kinds of inserts, a row each.</summary>
public static class InsertTable
{
    public static readonly ImmutableArray<InsertRow> All =
    [
        new(InsertKind.RibbonLoop, "ribbon loop", "Fold {0} mm of {1} in half, wrong sides together", null),
        new(InsertKind.Tab, "tab", "Fold a tab of {1}, {0} mm long and hemmed along its sides, in half", null),
        new(
            InsertKind.RingOnTape,
            "ring on a tape",
            "Thread the ring onto {0} mm of {1} and fold that in half",
            "The ring lies at the fold, away from every line that is still to be sewn: the presser foot must not touch it."
        ),
    ];

    public static readonly ImmutableArray<(InsertSide Id, string Name)> Sides =
    [
        (InsertSide.Top, "top"),
        (InsertSide.Right, "right"),
        (InsertSide.Bottom, "bottom"),
        (InsertSide.Left, "left"),
    ];

    private static readonly FrozenDictionary<InsertKind, InsertRow> ByKind = All.ToFrozenDictionary(row => row.Kind);

    public static InsertRow Of(InsertKind kind) => ByKind[kind];
}
