namespace Ullet.Core.Patterns;

/// <summary>The elements of the pattern that are sewn.</summary>
internal static class HarvestPatchParts
{
    internal static readonly PatternPart Basting = new("basting");
    internal static readonly PatternPart BackingTack = new("backing-tack");
    internal static readonly PatternPart Patch = new("patch");
}

/// <summary>What is done by hand in the pattern.</summary>
internal static class HarvestPatchHands
{
    internal static readonly PatternHand Bobbin = new("bobbin");
    internal static readonly PatternHand CutOut = new("cut-out");
    internal static readonly PatternHand LayBacking = new("lay-backing");
    internal static readonly PatternHand LayPatch = new("lay-patch");
    internal static readonly PatternHand PressBack = new("press-back");
    internal static readonly PatternHand TrimBoth = new("trim-both");
}
