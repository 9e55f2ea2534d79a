namespace Ullet.Core.Patterns;

/// <summary>The elements of the pattern that are sewn.</summary>
internal static class MugRugParts
{
    internal static readonly PatternPart BattingPlace = new("batting-place");
    internal static readonly PatternPart BattingTack = new("batting-tack");
    internal static readonly PatternPart ClosingSeam = new("closing-seam");
    internal static readonly PatternPart FrontTack = new("front-tack");
    internal static readonly PatternPart Quilting = new("quilting");
}

/// <summary>What is done by hand in the pattern.</summary>
internal static class MugRugHands
{
    internal static readonly PatternHand CutOut = new("cut-out");
    internal static readonly PatternHand LayBack = new("lay-back");
    internal static readonly PatternHand LayBatting = new("lay-batting");
    internal static readonly PatternHand LayFront = new("lay-front");
    internal static readonly PatternHand Press = new("press");
    internal static readonly PatternHand TrimBatting = new("trim-batting");
    internal static readonly PatternHand Turn = new("turn");
}
