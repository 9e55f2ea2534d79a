using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Makings;

/// <summary>Basting: sewn in long stitches once its cloth lies, taken out once that is held or decorated.</summary>
internal sealed class BastingModule : MakingModule<BastingMaking>
{
    public override string Kind => "basting";

    public override string Name => "Basting";

    public override string Summary =>
        "Long stitches that hold layers together while others are sewn, and come out again.";

    public override string? Unfit(Element element) =>
        element.FormedAs<TextForm>() is null
            ? null
            : $"{element.Name} are words: basting follows a line or a box. Draw one round what it is to hold.";

    public override Making Begun(Element element, Project project) => new BastingMaking();

    private protected override Refusal? Check(BastingMaking making) =>
        making.StitchLength is { } length
            ? Limits.CheckRange(
                length,
                StitchRanges.BastingLength.Least,
                StitchRanges.BastingLength.Most,
                "mm",
                "The basting's stitch length",
                "stitchLength"
            )
            : null;

    private protected override IEnumerable<string> ThreadIds(BastingMaking making) =>
        making.ThreadId is { } thread ? [thread] : [];

    private protected override string? ThreadOf(BastingMaking making, Project project) =>
        project.FindThread(making.ThreadId)?.Id ?? project.Hooping.LineThreadId;

    private protected override BastingMaking InThread(BastingMaking making, string threadId) =>
        making with
        {
            ThreadId = threadId,
        };

    private protected override BastingMaking Renamed(BastingMaking making, IdMap ids) =>
        making with
        {
            ThreadId = ids.Thread(making.ThreadId),
            HoldsId = making.HoldsId is { } id ? ids.Elements.GetValueOrDefault(id) : null,
        };

    private protected override BastingMaking AsFirstSet(BastingMaking making) => making with { StitchLength = null };

    private protected override ImmutableArray<SewnThing> Things(BastingMaking making, MakingInput input)
    {
        var (project, element) = (input.Project, input.Element);
        var stage = new Stage(
            new StepKey(element.Id, StageTable.Of(StageId.Basting).Key, 0),
            StageId.Basting,
            ThreadOf(making, project)!,
            new BastingPlan(making.StitchLength ?? StitchDefaults.BastingLength),
            input.Outline,
            input.OutlineKey
        );
        var takeOut = new HandWork(
            HandKind.Remove,
            HandWork.TakeOutBasting,
            $"Take the basting{Of(element)} out: snip every third stitch, and draw the thread off from the other side.",
            "Pull along the line, not upwards, so that nothing that is sewn is drawn with it.",
            HoopOff: true,
            []
        );
        return
        [
            new SewnThing(
                null,
                element.Name,
                0,
                input.Outline,
                [new SewingAct(ActPhase.TackDown, stage), new HandWorkAct(ActPhase.Trim, takeOut)]
            )
            {
                Basting = making,
            },
        ];
    }

    /// <summary>" of" its name, where that does not say already what it is.</summary>
    private static string Of(Element element) =>
        element.Name.StartsWith("Basting", StringComparison.OrdinalIgnoreCase)
            ? element.Name["Basting".Length..]
            : $" of {element.Name}";

    private protected override double Beyond(BastingMaking making, Element element, Project project) =>
        StitchDefaults.ThreadWidth / 2;

    private protected override string HowMade(BastingMaking making, Element element, Project project) =>
        making.HoldsId is { } id && project.Find(id) is { } held ? $"basting that holds {held.Name}" : "basting";
}
