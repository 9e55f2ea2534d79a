using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>Makes the run sheet: hoop up, then the pieces one by one or together, then finish.</summary>
/// <remarks>Either way a piece's steps keep their method's order, and a piece is laid only after whatever it covers has been
/// tacked down.</remarks>
public static class Planner
{
    /// <param name="project">The document.</param>
    /// <param name="work">The stages of each element, by element id.</param>
    /// <param name="order">One by one or together; null for as the document says.</param>
    public static RunSheet Plan(
        Project project,
        IReadOnlyDictionary<string, ElementAtWork> work,
        StitchOrder? order = null
    )
    {
        var units = Units(project, work).ToList();
        var hooping = project.Hooping;
        var steps = ImmutableArray.CreateBuilder<RunStep>();
        steps.Add(Hand(project, hooping.Id, hooping.Name, HoopingSteps.HoopUp(project, units)));
        steps.AddRange(
            (order ?? project.RunSheet.Order) == StitchOrder.Together
                ? TogetherOrder.Of(units)
                : units.SelectMany(unit => unit.Acts.Select(act => act.Step))
        );
        if (steps.Count > 1)
        {
            steps.Add(Hand(project, hooping.Id, hooping.Name, HoopingSteps.Finish(project)));
        }
        return new RunSheet(steps.ToImmutable());
    }

    /// <summary>The run sheets of cut guides: one hooping for each cloth that pieces are marked on.</summary>
    public static ImmutableArray<GuideSheet> Guides(Project project, IReadOnlyDictionary<string, ElementAtWork> work) =>
        [
            .. project
                .Elements.SelectMany(element => work[element.Id].Pieces)
                .Where(piece =>
                    AppliqueMethods.Of(piece.Work.Part.Element.Method).Stages.Contains(StageRole.CutGuide)
                    && !piece.Work.Part.Element.Stages.CutGuide.Off
                )
                .GroupBy(piece => piece.Work.Cloth.Id, StringComparer.Ordinal)
                .Select(group => Guide(project, [.. group])),
        ];

    private static GuideSheet Guide(Project project, List<KeyedPiece> pieces)
    {
        var cloth = pieces[0].Work.Cloth;
        var (id, name) = ($"guide-{cloth.Id}", $"Cut guides on {cloth.Name}");
        var steps = ImmutableArray.CreateBuilder<RunStep>();
        steps.Add(Hand(project, id, name, HoopingSteps.HoopUpAlone(project, cloth)));
        foreach (var piece in pieces)
        {
            var part = piece.Work.Part;
            var stage = StageNumbers.Resolve(project, piece.Work, StageRole.CutGuide, piece.LaidKey);
            steps.Add(new StitchStep(stage.Key, part.Element.Id, part.Name, stage));
        }
        foreach (var piece in pieces)
        {
            var part = piece.Work.Part;
            if (AppliqueMethods.Of(part.Element.Method).AfterGuide(piece.Work) is { } work)
            {
                steps.Add(Hand(project, part.Element.Id, part.Name, work, part.Ordinal));
            }
        }
        return new GuideSheet(id, name, cloth, new RunSheet(steps.ToImmutable()));
    }

    /// <summary>Pieces and lines from the bottom of the stack, each with its steps in its method's order.</summary>
    private static IEnumerable<SewnUnit> Units(Project project, IReadOnlyDictionary<string, ElementAtWork> work)
    {
        foreach (var element in project.Elements)
        {
            var at = work[element.Id];
            foreach (var piece in at.Pieces)
            {
                yield return new SewnUnit(piece.Work, piece.Work.Edge, [.. Acts(project, piece)]);
            }
            if (at.Line is { } line)
            {
                yield return new SewnUnit(
                    null,
                    line.Outline,
                    [new UnitAct(UnitPhase.Cover, new StitchStep(line.Key, element.Id, element.Name, line))]
                );
            }
        }
    }

    private static IEnumerable<UnitAct> Acts(Project project, KeyedPiece piece)
    {
        var work = piece.Work;
        var (part, element) = (work.Part, work.Part.Element);
        var acts = AppliqueMethods.Of(element.Method).Acts(work);
        for (var i = 0; i < acts.Length; i++)
        {
            var handsFollow = acts.Skip(i + 1).Any(act => act is HandAct);
            if (acts[i] is StageAct stage && !element.Stages.IsOff(stage.Role))
            {
                var isCover = stage.Role == StageRole.Cover;
                if (isCover && work.Visible is { WholeRings.IsEmpty: true, Stretches.IsEmpty: true })
                {
                    continue;
                }
                var resolved = StageNumbers.Resolve(project, work, stage.Role, isCover ? piece.EdgeKey : piece.LaidKey);
                var phase =
                    stage.Role == StageRole.Placement ? UnitPhase.Placement
                    : isCover && !handsFollow ? UnitPhase.Cover
                    : UnitPhase.TackDown;
                yield return new UnitAct(phase, new StitchStep(resolved.Key, element.Id, part.Name, resolved));
            }
            else if (acts[i] is HandAct hand)
            {
                var phase = hand.Work.Kind == HandStepKind.Lay ? UnitPhase.Lay : UnitPhase.Trim;
                yield return new UnitAct(phase, Hand(project, element.Id, part.Name, hand.Work, part.Ordinal));
            }
        }
    }

    private static HandStep Hand(Project project, string ownerId, string ownerName, HandWork work, int ordinal = 0)
    {
        var key = new StepKey(ownerId, work.Name, ordinal);
        return new HandStep(key, ownerId, ownerName, work, project.RunSheet.Of(key)?.Note);
    }
}
