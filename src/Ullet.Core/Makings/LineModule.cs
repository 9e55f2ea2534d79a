using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Makings;

/// <summary>A line that is sewn without cloth.</summary>
internal sealed class LineModule : MakingModule<LineMaking>
{
    public override string Kind => "line";

    public override string Name => "Stitched line";

    public override string Summary => "Its lines are sewn as they are, without cloth: a seam, a ring, a hold-down.";

    public override string? Unfit(Element element) => null;

    public override Making Begun(Element element, Project project) => new LineMaking();

    private protected override Refusal? Check(LineMaking making) =>
        StageLimits.Check(making.Stitching)
        ?? (making.Purpose is { } purpose ? Limits.CheckName(purpose, "The line's purpose") : null);

    private protected override IEnumerable<string> ThreadIds(LineMaking making) =>
        making.Stitching.ThreadId is { } thread ? [thread] : [];

    private protected override string? ThreadOf(LineMaking making, Project project) =>
        project.FindThread(making.Stitching.ThreadId)?.Id
        ?? (making.Purpose is null ? project.Hooping.CoverThreadId : project.Hooping.LineThreadId);

    private protected override LineMaking InThread(LineMaking making, string threadId) =>
        making with
        {
            Stitching = making.Stitching with { ThreadId = threadId },
        };

    private protected override LineMaking Renamed(LineMaking making, IdMap ids) =>
        making with
        {
            Stitching = making.Stitching with { ThreadId = ids.Thread(making.Stitching.ThreadId) },
        };

    private protected override LineMaking AsFirstSet(LineMaking making) =>
        making with
        {
            Stitching = new LineSettings(),
        };

    private protected override LineMaking Cleaned(LineMaking making) =>
        making.Purpose is { } purpose && PlainText.Line(purpose) is var clean && clean != purpose
            ? making with
            {
                Purpose = clean.Length == 0 ? null : clean,
            }
            : making;

    private protected override ImmutableArray<SewnThing> Things(LineMaking making, MakingInput input)
    {
        var line = making.Stitching;
        var stage = new Stage(
            new StepKey(input.Element.Id, StageTable.Of(StageId.Line).Key, 0),
            StageId.Line,
            ThreadOf(making, input.Project)!,
            LinePlan.Of(line),
            input.Outline,
            input.OutlineKey
        )
        {
            Words = making.Purpose ?? StageTable.Of(StageId.Line).Words,
        };
        return [new SewnThing(null, input.Element.Name, 0, input.Outline, [new SewingAct(ActPhase.Cover, stage)])];
    }

    private protected override double Beyond(LineMaking making, Element element, Project project) =>
        (StitchDefaults.ThreadWidth / 2) + LinePlan.Reach(making.Stitching);

    private protected override string HowMade(LineMaking making, Element element, Project project) =>
        element.FormedAs<TextForm>() is null ? "a stitched line" : "stitched along its edges";
}
