namespace Ullet.Core.Patterns;

/// <summary>The elements of the pattern that are sewn.</summary>
internal static class ZipPouchParts
{
    internal static readonly PatternPart ClosingSeam = new("closing-seam");
    internal static readonly PatternPart FrontBaste = new("front-baste");
    internal static readonly PatternPart FrontSeam = new("front-seam");
    internal static readonly PatternPart LiningSeam = new("lining-seam");
    internal static readonly PatternPart TopBaste = new("top-baste");
    internal static readonly PatternPart TopSeam = new("top-seam");
    internal static readonly PatternPart TopStitch = new("top-stitch");
    internal static readonly PatternPart TopStitchLower = new("top-stitch-lower");
    internal static readonly PatternPart TopStitchUpper = new("top-stitch-upper");
    internal static readonly PatternPart Zigzag = new("zigzag");
    internal static readonly PatternPart ZipEnds = new("zip-ends");
    internal static readonly PatternPart ZipPlace = new("zip-place");
    internal static readonly PatternPart ZipStop = new("zip-stop");
    internal static readonly PatternPart ZipTack = new("zip-tack");
}

/// <summary>What is done by hand in the pattern.</summary>
internal static class ZipPouchHands
{
    internal static readonly PatternHand CloseGap = new("close-gap");
    internal static readonly PatternHand CutOut = new("cut-out");
    internal static readonly PatternHand CutSlot = new("cut-slot");
    internal static readonly PatternHand FoldFront = new("fold-front");
    internal static readonly PatternHand FoldLining = new("fold-lining");
    internal static readonly PatternHand FoldTop = new("fold-top");
    internal static readonly PatternHand JoinEnds = new("join-ends");
    internal static readonly PatternHand LayBack = new("lay-back");
    internal static readonly PatternHand LayBackLining = new("lay-back-lining");
    internal static readonly PatternHand LayFront = new("lay-front");
    internal static readonly PatternHand LayLining = new("lay-lining");
    internal static readonly PatternHand LayLoop = new("lay-loop");
    internal static readonly PatternHand LayTop = new("lay-top");
    internal static readonly PatternHand LayZip = new("lay-zip");
    internal static readonly PatternHand OpenZip = new("open-zip");
    internal static readonly PatternHand Press = new("press");
    internal static readonly PatternHand TearAway = new("tear-away");
    internal static readonly PatternHand TurnZip = new("turn-zip");
    internal static readonly PatternHand Turn = new("turn");
}
