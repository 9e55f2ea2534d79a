using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Evaluation;

/// <summary>Whether a hooping's work can be turned where its run sheet says so.</summary>
internal static class Turns
{
    private static readonly TurningStation Station = new();

    /// <summary>Null for work that is not turned, or of which nothing can be said.</summary>
    internal static TurningReport? Of(HoopingOutput hooping, StationCache cache, CancellationToken cancellation)
    {
        var steps = hooping.RunSheet.Steps;
        var turn = steps.ToList().FindIndex(step => step is HandStep { Work.Kind: HandKind.Turn });
        if (turn < 0)
        {
            return null;
        }
        var before = steps.Take(turn).ToList();
        var input = new TurningInput(
            [.. before.Select(step => Physical(step, hooping))],
            [.. before.Select(step => step is StitchStep ? hooping.StitchKeys[step.Key] : (ContentHash?)null)]
        );
        return cache.Get(Station, input, cancellation).Report;
    }

    /// <summary>True where the same steps come in the same order, and hands do the same in them.</summary>
    internal static bool IsAlike(HoopingOutput hooping, HoopingOutput other)
    {
        var (own, like) = (hooping.RunSheet.Steps, other.RunSheet.Steps);
        return own.Length == like.Length
            && own.Zip(like)
                .All(pair =>
                    pair.First.Key == pair.Second.Key
                    && (
                        pair.First is not HandStep hand
                        || pair.Second is HandStep same
                            && hand.Work.Changes.Select(LayerChangeKey.Of)
                                .SequenceEqual(same.Work.Changes.Select(LayerChangeKey.Of))
                    )
                );
    }

    private static PhysicalStep Physical(RunStep step, HoopingOutput hooping) =>
        step switch
        {
            HandStep hand => new PhysicalStep("", hand.Work.Changes, []),
            // Basting comes out again.
            StitchStep { Stage.Id: StageId.Basting } => new PhysicalStep("", [], []),
            StitchStep sewn => new PhysicalStep(
                sewn.Stage.Words,
                [],
                [.. hooping.Stitches[sewn.Key].Runs.Select(run => run.Points)]
            ),
            _ => throw new ArgumentException($"Nothing is known of {step.GetType().Name}.", nameof(step)),
        };
}
