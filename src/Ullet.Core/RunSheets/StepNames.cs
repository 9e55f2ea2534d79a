using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>Steps as a person would name them.</summary>
public static class StepNames
{
    /// <summary>"Leaf, cover"; "Zip pouch, fold".</summary>
    public static string Of(RunStep step) =>
        step switch
        {
            StitchStep stitch => $"{stitch.OwnerName}, {stitch.Stage.Words}",
            HandStep hand => $"{hand.OwnerName}, {HandTable.Of(hand.Work.Kind).Name}",
            _ => step.OwnerName,
        };
}
