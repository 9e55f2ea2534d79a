using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Makings;
using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>Gathers the steps of a project's own hooping, before they have an order.</summary>
internal static class StepGathering
{
    /// <summary>What the rules read, and the optional steps that are switched off.</summary>
    internal static (OrderFacts Facts, ImmutableArray<RunStep> Off) Of(
        Project project,
        IReadOnlyDictionary<string, ElementAtWork> work
    )
    {
        var plan = PatternShelf.PlanOf(project);
        var all = Units(project, work).ToList();
        var owned = plan?.Acts.OfType<SewAct>().Select(act => act.Key.OwnerId).ToHashSet(StringComparer.Ordinal) ?? [];
        var sewn = all.SelectMany(unit => unit.Acts).ToDictionary(act => act.Step.Key, act => act.Step);
        var off = new List<RunStep>();
        Outline? OutlineOf(string id) =>
            work.TryGetValue(id, out var made) ? made.Things.FirstOrDefault()?.Outline : null;
        bool IsOn(RunStep step)
        {
            var isOff = project.RunSheet.Of(step.Key) is { IsOff: true };
            if (isOff)
            {
                off.Add(step);
            }
            return !isOff;
        }
        var units = all.Where(unit => unit.Acts.Length > 0 && !owned.Contains(unit.Acts[0].Step.OwnerId))
            .Select(unit => unit with { Acts = [.. unit.Acts.Where(act => IsOn(act.Step))] })
            .Where(unit => unit.Acts.Length > 0)
            .ToImmutableArray();
        var acts = (plan?.Acts ?? [])
            .Select(act => (Act: act, Step: StepOf(project, plan!, act, sewn)))
            .Where(pair => pair.Step is not null && IsOn(pair.Step))
            .Select(pair => (pair.Act, pair.Step!))
            .ToImmutableArray();
        var own = project
            .RunSheet.Hands.Select(RunStep (hand) => OwnHands.Step(project, hand, OutlineOf))
            .Where(IsOn)
            .ToImmutableArray();
        return (new OrderFacts(project, units, Frame(project, plan, units, own), plan, acts), [.. off]);
    }

    internal static HandStep Hand(Project project, string ownerId, string ownerName, HandWork work, int ordinal = 0)
    {
        var key = new StepKey(ownerId, work.Name, ordinal);
        return new HandStep(key, ownerId, ownerName, work, project.RunSheet.Of(key)?.Note);
    }

    private static OrderFrame Frame(
        Project project,
        PatternPlan? plan,
        ImmutableArray<SewnUnit> units,
        ImmutableArray<RunStep> own
    )
    {
        if (plan is not null)
        {
            return new OrderFrame([], own, []);
        }
        var hooping = project.Hooping;
        return new OrderFrame(
            [
                .. HoopingSteps
                    .Begin(project, hooping, [.. units])
                    .Select(work => Hand(project, hooping.Id, hooping.Name, work)),
            ],
            own,
            units.IsEmpty && own.IsEmpty ? [] : [Hand(project, hooping.Id, hooping.Name, HoopingSteps.Finish(project))]
        );
    }

    private static RunStep? StepOf(Project project, PatternPlan plan, PatternAct act, Dictionary<StepKey, RunStep> sewn)
    {
        if (act is HandsAct hands)
        {
            var subject = hands.Subject ?? SubjectOf(project, plan, hands.Work);
            return Hand(project, HandsAct.OwnerId, subject, hands.Work);
        }
        var step = sewn.GetValueOrDefault(act.Key);
        return step is StitchStep stitch && act is SewAct sewing
            ? stitch with
            {
                IsOptionalPart = sewing.IsOptional,
            }
            : step;
    }

    /// <summary>What a hand step of a pattern is about: the layer that it lays or changes, the zip, or the whole.</summary>
    private static string SubjectOf(Project project, PatternPlan plan, HandWork work)
    {
        if (work.Kind is HandKind.OpenZip or HandKind.CloseZip)
        {
            return "Zip";
        }
        var whole = PatternShelf.Find(project.Pattern!)!.Name;
        var names = plan
            .Acts.OfType<HandsAct>()
            .SelectMany(act => act.Work.Changes)
            .OfType<LayerLaid>()
            .Where(laid => work.Changes.Any(change => change.LayerId == laid.LayerId))
            .Select(laid => laid.Name)
            .Distinct(StringComparer.Ordinal)
            .ToList();
        if (work.Kind == HandKind.HoopUp || names.Count == 0)
        {
            return whole;
        }
        var all = string.Join(" and ", names).ToLowerInvariant();
        return char.ToUpperInvariant(all[0]) + all[1..];
    }

    /// <summary>Pieces and lines from the bottom of the stack, each with its steps in its making's order.</summary>
    private static IEnumerable<SewnUnit> Units(Project project, IReadOnlyDictionary<string, ElementAtWork> work)
    {
        foreach (var element in project.Elements)
        {
            foreach (var thing in work[element.Id].Things)
            {
                Budget.Spend();
                var way = thing.Piece is { } piece
                    ? AppliqueMethods.Of(piece.Work.Part.Element.Method).Name
                    : "this line";
                yield return new SewnUnit(
                    thing.Piece?.Work,
                    way,
                    thing.Outline,
                    [.. thing.Acts.Select(act => new UnitAct(act.Phase, StepOf(project, element, thing, act)))]
                )
                {
                    Basting = thing.Basting,
                    Opened = element.MadeAs<OpenedMaking>(),
                };
            }
        }
    }

    private static RunStep StepOf(Project project, Element element, SewnThing thing, MakingAct act) =>
        act switch
        {
            SewingAct sewing => new StitchStep(sewing.Stage.Key, element.Id, thing.Name, sewing.Stage),
            HandWorkAct hands => Hand(project, element.Id, thing.Name, hands.Work, thing.Ordinal),
            _ => throw new ArgumentException($"{act.GetType().Name} is no act.", nameof(act)),
        };
}
