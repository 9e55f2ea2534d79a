using Ullet.Core.Layers;

namespace Ullet.Core.RunSheets;

/// <summary>Steps as a person would name them.</summary>
public static class StepNames
{
    /// <summary>"Leaf, cover"; "Zip pouch, fold".</summary>
    public static string Of(RunStep step) =>
        step switch
        {
            StitchStep stitch => $"{stitch.OwnerName}, {stitch.Stage.Words}",
            HandStep hand => $"{hand.OwnerName}, {HandWords.Of(hand.Work.Kind)}",
            _ => step.OwnerName,
        };
}
