using System.Collections.Immutable;
using Ullet.Core.Evaluation;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Server.Scenes;

/// <summary>Where a step stands among the others, and what lies in the hoop then.</summary>
/// <param name="First">The earliest place that it may have while the others keep their order, from 1.</param>
/// <param name="Last">The latest place, from 1; before <paramref name="First"/> where no place keeps the rules.</param>
/// <param name="IsFree">True when no step of another element ties it.</param>
/// <param name="IsHeld">True when the user holds it.</param>
/// <param name="MayBeOff">True when it may be switched off.</param>
/// <param name="OwnHandId">The id of a hand step of the user's own, or null.</param>
/// <param name="Broken">Why it can't stand here, a sentence each; none where it may.</param>
/// <param name="Told">Those of the reasons that are about this step standing too late, so that each is written once in a list.</param>
/// <param name="Pierced">The numbers of the lanes that its needle goes through.</param>
/// <param name="Stack">The layers that lie in the hoop after it, from the top down.</param>
public sealed record StepOrderDto(
    int First,
    int Last,
    bool IsFree,
    bool IsHeld,
    bool MayBeOff,
    string? OwnHandId,
    ImmutableArray<string> Broken,
    ImmutableArray<string> Told,
    ImmutableArray<int> Pierced,
    ImmutableArray<StackedDto> Stack
)
{
    /// <summary>The sentence for this step and those next to it that ask hands for the same; null for one that stands alone.</summary>
    public string? Group { get; init; }
}

/// <summary>A layer at a stop.</summary>
/// <param name="Lane">Its lane's number.</param>
/// <param name="FaceUp">Which face is seen from above.</param>
public sealed record StackedDto(int Lane, bool FaceUp);

/// <summary>A layer of cloth in time.</summary>
/// <param name="LayerId">Names it.</param>
/// <param name="Name">What it is called.</param>
/// <param name="ClothName">Its cloth.</param>
/// <param name="Colour">The cloth's colour, #rrggbb.</param>
/// <param name="IsBehind">True when it lies under what is hooped.</param>
/// <param name="From">The number of the step that lays it, from 1.</param>
/// <param name="Until">The number of the step that takes it away; one more than there are steps when none does.</param>
/// <param name="Changes">The numbers of the steps that fold, trim or open it.</param>
public sealed record LaneDto(
    string LayerId,
    string Name,
    string ClothName,
    string Colour,
    bool IsBehind,
    int From,
    int Until,
    ImmutableArray<int> Changes
);

/// <summary>The run sheet as a whole.</summary>
/// <param name="Lanes">The layers, the topmost first.</param>
/// <param name="IsUsersOwn">True when the user gave the order.</param>
/// <param name="IsProvenBest">True when no cheaper legal order exists.</param>
/// <param name="IsBroken">True when it breaks a rule.</param>
/// <param name="Release">The keys of the held steps that must be let go before any order is legal.</param>
/// <param name="Off">Optional steps that are switched off.</param>
/// <param name="Hands">The hand steps of the user's own.</param>
/// <param name="Turning">Whether the work can be turned; null where it is not turned.</param>
public sealed record RunSheetDto(
    ImmutableArray<LaneDto> Lanes,
    bool IsUsersOwn,
    bool IsProvenBest,
    bool IsBroken,
    ImmutableArray<string> Release,
    ImmutableArray<OffStepDto> Off,
    ImmutableArray<UserHandStep> Hands,
    TurningDto? Turning
);

/// <summary>A step that is listed but not done.</summary>
public sealed record OffStepDto(string Key, string Name);

/// <summary>Puts together how the steps stand.</summary>
internal sealed class RunSheetDtos(Evaluated evaluated)
{
    private readonly LaneChart _chart = LaneChart.Of(evaluated.RunSheet, evaluated.Layers, evaluated.Stitches);
    private readonly ImmutableArray<EqualGroup> _groups = EqualSteps.Of(evaluated.Program);
    private readonly ILookup<StepKey, string> _broken = evaluated
        .RunSheet.Order.Broken.SelectMany(pair => new[] { (pair.Before, pair.Reason), (pair.After, pair.Reason) })
        .ToLookup(pair => pair.Item1, pair => pair.Reason);

    internal RunSheetDto Whole()
    {
        var (sheet, order) = (evaluated.RunSheet, evaluated.RunSheet.Order);
        return new RunSheetDto(
            [
                .. _chart.Lanes.Select(lane => new LaneDto(
                    lane.LayerId,
                    lane.Name,
                    lane.Cloth.Name,
                    lane.Cloth.Colour,
                    lane.IsBehind,
                    lane.From + 1,
                    lane.Until + 1,
                    [.. lane.Changes.Select(step => step + 1)]
                )),
            ],
            order.IsUsersOwn,
            order.IsProvenBest,
            !order.Broken.IsEmpty,
            [.. order.Release.Select(key => key.ToString())],
            [.. sheet.Off.Select(step => new OffStepDto(step.Key.ToString(), StepNames.Of(step)))],
            evaluated.Project.RunSheet.Hands,
            TurningDto.Of(
                evaluated.Turning,
                sheet.Steps.FirstOrDefault(step => step is HandStep { Work.Kind: HandKind.Turn })?.Key
            )
        );
    }

    /// <summary>How a step stands; null for one that has no place of its own in the run sheet.</summary>
    internal StepOrderDto? Of(StepKey key)
    {
        var steps = evaluated.RunSheet.Steps;
        var at = steps.Select(step => step.Key).ToList().IndexOf(key);
        if (at < 0 || !evaluated.RunSheet.Order.Rooms.TryGetValue(key, out var room))
        {
            return null;
        }
        var own = evaluated.Project.RunSheet.Hands.FirstOrDefault(hand => hand.Key == key);
        return new StepOrderDto(
            room.First + 1,
            room.Last + 1,
            evaluated.RunSheet.Order.Free.Contains(key),
            evaluated.Project.RunSheet.Of(key)?.IsHeld ?? false,
            steps[at].MayBeOff,
            own?.Id,
            [.. _broken[key].Distinct(StringComparer.Ordinal).Take(MostReasons)],
            [
                .. evaluated
                    .RunSheet.Order.Broken.Where(pair => pair.Before == key)
                    .Select(pair => pair.Reason)
                    .Distinct(StringComparer.Ordinal)
                    .Take(MostReasons),
            ],
            _chart.Pierced[at],
            Stack(at)
        )
        {
            Group = _groups.FirstOrDefault(group => at >= group.First && at < group.First + group.Count)?.Text,
        };
    }

    private const int MostReasons = 3;

    private ImmutableArray<StackedDto> Stack(int step)
    {
        var lanes = _chart.Lanes.Select(lane => lane.LayerId).ToList();
        return
        [
            .. evaluated
                .Layers[step]
                .Select(layer => new StackedDto(lanes.IndexOf(layer.Id), layer.FaceUp))
                .OrderBy(s => s.Lane),
        ];
    }
}
