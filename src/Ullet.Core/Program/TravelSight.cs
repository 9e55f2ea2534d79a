using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Stitches;

namespace Ullet.Core.Program;

/// <summary>Whether the needle may travel in a straight line without a trim, because what comes later hides the thread: a cover of
/// this step or a later one, a cloth that is laid later and stays; or because a line of this step lies there anyway.</summary>
internal sealed class TravelSight
{
    private readonly ImmutableArray<RunStep> _steps;
    private readonly IReadOnlyDictionary<StepKey, StepStitches> _stitches;
    private readonly Dictionary<StitchRun, RunThread> _threads = new(ReferenceEqualityComparer.Instance);
    private readonly Lazy<List<CoveringCloth>> _cloths;

    /// <param name="steps">All steps in order.</param>
    /// <param name="stitches">What stitch steps are sewn with.</param>
    internal TravelSight(ImmutableArray<RunStep> steps, IReadOnlyDictionary<StepKey, StepStitches> stitches)
    {
        (_steps, _stitches) = (steps, stitches);
        _cloths = new Lazy<List<CoveringCloth>>(() => Cloths(steps));
    }

    /// <summary>True when travel from one place to another may be sewn.</summary>
    /// <param name="from">Where the needle stands, mm.</param>
    /// <param name="to">Where it goes, mm.</param>
    /// <param name="step">The number of the step.</param>
    /// <param name="later">The runs of the step that are still to be sewn.</param>
    /// <param name="sewn">Those that are sewn.</param>
    internal bool MayTravel(
        Point from,
        Point to,
        int step,
        ReadOnlyMemory<StitchRun> later,
        ReadOnlyMemory<StitchRun> sewn
    )
    {
        var stage = ((StitchStep)_steps[step]).Stage;
        if (StageTable.Of(stage.Id).IsTakenOut)
        {
            return true;
        }
        var hides = stage.Plan.HidesUnderTop;
        return ThreadInSight.IsHidden(
            from,
            to,
            place =>
                AnyLiesAt(later.Span, place, topsOnly: hides)
                || (!hides && AnyLiesAt(sewn.Span, place, topsOnly: false))
                || IsHiddenLater(place, step)
        );
    }

    private bool AnyLiesAt(ReadOnlySpan<StitchRun> runs, Point place, bool topsOnly)
    {
        foreach (var run in runs)
        {
            if ((run.Kind == RunKind.Top || !topsOnly) && LiesAt(run, place))
            {
                return true;
            }
        }
        return false;
    }

    private bool LiesAt(StitchRun run, Point place)
    {
        if (!_threads.TryGetValue(run, out var thread))
        {
            _threads[run] = thread = new RunThread(run.Points);
        }
        return thread.LiesAt(place, ThreadInSight.Hides);
    }

    private bool IsHiddenLater(Point place, int step)
    {
        for (var i = step + 1; i < _steps.Length; i++)
        {
            Budget.Spend();
            if (
                _steps[i] is StitchStep { Stage.Plan.HidesUnderTop: true } cover
                && _stitches[cover.Key].Runs.Any(run => run.Kind == RunKind.Top && LiesAt(run, place))
            )
            {
                return true;
            }
        }
        return _cloths.Value.Exists(cloth =>
            cloth.Step > step && cloth.Box.Contains(place) && cloth.Area.Value.Holds(place)
        );
    }

    /// <summary>The cloths that lie on top in the end, with the step at which they came there.</summary>
    private static List<CoveringCloth> Cloths(ImmutableArray<RunStep> steps)
    {
        var laid = new Dictionary<string, int>(StringComparer.Ordinal);
        for (var i = 0; i < steps.Length; i++)
        {
            foreach (var change in (steps[i] as HandStep)?.Work.Changes ?? [])
            {
                if (change is LayerLaid or LayerFolded)
                {
                    laid[change.LayerId] = i;
                }
            }
        }
        var after = LayerStates.After(steps.Select(step => (step as HandStep)?.Work.Changes ?? []));
        return
        [
            .. (after.IsEmpty ? [] : after[^1])
                .Where(layer => !layer.IsBehind && laid.ContainsKey(layer.Id))
                .Select(layer => new CoveringCloth(
                    laid[layer.Id],
                    layer.Area.Aggregate(Box.Empty, (box, region) => box.Union(region.Bounds())),
                    new Lazy<AreaIndex>(() => new AreaIndex(layer.Area))
                )),
        ];
    }

    private sealed record CoveringCloth(int Step, Box Box, Lazy<AreaIndex> Area);
}
