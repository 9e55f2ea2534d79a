using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>What operations are called in labels and sentences.</summary>
public static class OperationNames
{
    public static string Of(Operation operation) =>
        operation switch
        {
            Carve => "Carve",
            Join => "Join",
            KeepOverlap => "Keep overlap",
            MoveEdge { Distance: < 0 } => "Inset",
            MoveEdge => "Outset",
            RoundCorners => "Round corners",
            RepeatInLine { LineId: not null } => "Repeat along a line",
            RepeatInLine => "Repeat in a row",
            RepeatRound => "Repeat round a centre",
            Mirror => "Mirror",
            Split => "Split",
            ClearCrumbs => "Clear crumbs",
            BridgeNecks => "Widen bridges",
            CutNecks => "Cut thin places",
            _ => operation.GetType().Name,
        };
}
