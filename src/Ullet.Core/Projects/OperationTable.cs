using System.Collections.Frozen;
using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>What is known of a kind of operation.</summary>
/// <param name="Type">The kind.</param>
/// <param name="WorksOnLines">True when a line without cloth can have it.</param>
/// <param name="Subject">What a sentence about it begins with: "The carving".</param>
/// <param name="Name">What one is called in labels, by its numbers.</param>
/// <param name="Check">Says what is wrong with its numbers, or null.</param>
public sealed record OperationRow(
    Type Type,
    bool WorksOnLines,
    string Subject,
    Func<Operation, string> Name,
    Func<Operation, Refusal?> Check
);

/// <summary>All kinds of operations, a row each.</summary>
public static class OperationTable
{
    public static readonly ImmutableArray<OperationRow> All =
    [
        Row<Carve>(true, "The carving", _ => "Carve", it => Range(it.Reveal, 0, 50, "mm", "The reveal", "reveal")),
        Row<CutBeneath>(
            false,
            "Cutting away beneath",
            _ => "Cut away beneath",
            it => Range(it.Margin, 0, 10, "mm", "The margin", "margin")
        ),
        Row<Join>(false, "The joining", _ => "Join", _ => null),
        Row<KeepOverlap>(true, "Keeping the overlap", _ => "Keep overlap", _ => null),
        Row<MoveEdge>(
            false,
            "Moving the edge",
            it => it.Distance < 0 ? "Inset" : "Outset",
            it => Range(it.Distance, -50, 50, "mm", "The distance", "distance")
        ),
        Row<RoundCorners>(
            false,
            "Rounding the corners",
            _ => "Round corners",
            it => Range(it.Radius, 0.1, 100, "mm", "The radius", "radius")
        ),
        Row<RepeatInLine>(
            true,
            "Repeating",
            it => it.LineId is null ? "Repeat in a row" : "Repeat along a line",
            it =>
                Count(it.Count)
                ?? Range(it.StepX, -1000, 1000, "mm", "The step across", "stepX")
                ?? Range(it.StepY, -1000, 1000, "mm", "The step down", "stepY")
        ),
        Row<RepeatRound>(
            true,
            "Repeating",
            _ => "Repeat round a centre",
            it =>
                Count(it.Count)
                ?? Range(it.CentreX, -1000, 1000, "mm", "The centre's place across", "centreX")
                ?? Range(it.CentreY, -1000, 1000, "mm", "The centre's place down", "centreY")
                ?? Angle(it.Sweep, "sweep")
        ),
        Row<Mirror>(
            true,
            "Mirroring",
            _ => "Mirror",
            it => Angle(it.Angle, "angle") ?? Range(it.Distance, -1000, 1000, "mm", "The axis' distance", "distance")
        ),
        Row<Split>(
            false,
            "The split",
            _ => "Split",
            it => Angle(it.Angle, "angle") ?? Range(it.Distance, -1000, 1000, "mm", "The line's distance", "distance")
        ),
        Row<ClearCrumbs>(
            false,
            "Clearing up",
            _ => "Clear crumbs",
            it =>
                Range(it.LeastArea, 0, 1000, "mm²", "The least area", "leastArea")
                ?? Range(it.LeastWidth, 0, 20, "mm", "The least width", "leastWidth")
                ?? Spots(it.Only)
        ),
        Row<BridgeNecks>(false, "Clearing up", _ => "Widen bridges", it => Width(it.Width) ?? Spots(it.Only)),
        Row<CloseHoles>(
            false,
            "Closing holes",
            _ => "Close small holes",
            it => Range(it.Width, 0.5, 50, "mm", "The width", "width")
        ),
        Row<CutNecks>(false, "Clearing up", _ => "Cut thin places", it => Width(it.Width) ?? Spots(it.Only)),
    ];

    private static readonly FrozenDictionary<Type, OperationRow> ByType = All.ToFrozenDictionary(row => row.Type);

    public static OperationRow Of(Operation operation) => ByType[operation.GetType()];

    private static OperationRow Row<T>(bool lines, string subject, Func<T, string> name, Func<T, Refusal?> check)
        where T : Operation => new(typeof(T), lines, subject, it => name((T)it), it => check((T)it));

    private static Refusal? Count(int count) =>
        Range(count, 2, OperationLimits.MostCopies, "", "The number of copies", "count");

    private static Refusal? Angle(double angle, string place) => Range(angle, -360, 360, "degrees", "The angle", place);

    private static Refusal? Width(double width) => Range(width, 0.5, 20, "mm", "The width", "width");

    private static Refusal? Spots(ImmutableArray<Spot> spots) =>
        !spots.IsDefault
        && (
            spots.Length > OperationLimits.MostSources
            || spots.Any(spot => !(Math.Abs(spot.X) + Math.Abs(spot.Y) < 1e4))
        )
            ? new Refusal(
                "spots-broken",
                "only",
                $"An operation may name up to {OperationLimits.MostSources} places near its element."
            )
            : null;

    private static Refusal? Range(double value, double least, double most, string unit, string what, string place) =>
        Limits.CheckRange(value, least, most, unit, what, place);
}
