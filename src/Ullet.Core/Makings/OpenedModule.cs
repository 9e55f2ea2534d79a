using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Makings;

/// <summary>Stitches of a file, sewn as they stand there, with what hands do before and after.</summary>
internal sealed class OpenedModule : MakingModule<OpenedMaking>
{
    public override string Kind => "opened";

    public override string Name => "Opened stitches";

    public override string Summary => "Stitches of a file, every needle point where the file has it.";

    public override string? Unfit(Element element) =>
        element.Form is OpenedForm ? null : $"{element.Name} has no needle points of a file.";

    public override Making Begun(Element element, Project project) => new OpenedMaking { FileId = "" };

    private protected override Refusal? Check(OpenedMaking making) =>
        OpenedHandsCheck.Of(making)
        ?? (making.Words is { } words ? Limits.CheckName(words, "What the stitches are for") : null)
        ?? Limits.CheckSet(making.Sureness, (0, 1), "", "How sure a role is", "sureness")
        ?? Limits.CheckRange(making.Place, 0, 1e9, "", "The place in the file", "place");

    private protected override IEnumerable<(string What, int Count, int Most)> Counts(OpenedMaking making) =>
        [("hand steps of one block", Math.Max(making.Before.Length, making.After.Length), OpenedMaking.MostHands)];

    private protected override IEnumerable<string> ClothIds(OpenedMaking making) =>
        Laid(making).Select(laid => laid.ClothId);

    private protected override IEnumerable<string> ThreadIds(OpenedMaking making) =>
        making.ThreadId is { } thread ? [thread] : [];

    private protected override string? ThreadOf(OpenedMaking making, Project project) =>
        project.FindThread(making.ThreadId)?.Id ?? project.Hooping.CoverThreadId;

    private protected override OpenedMaking InThread(OpenedMaking making, string threadId) =>
        making with
        {
            ThreadId = threadId,
        };

    private protected override OpenedMaking Renamed(OpenedMaking making, IdMap ids) =>
        making with
        {
            ThreadId = ids.Thread(making.ThreadId),
            FileId = ids.Files.GetValueOrDefault(making.FileId, making.FileId),
            Before = Renamed(making.Before, ids),
            After = Renamed(making.After, ids),
        };

    private protected override OpenedMaking AsFirstSet(OpenedMaking making) => making;

    private protected override OpenedMaking Cleaned(OpenedMaking making) =>
        making with
        {
            Words = making.Words is { } words && PlainText.Line(words) is { Length: > 0 } clean ? clean : null,
            Before = [.. making.Before.Select(Cleaned)],
            After = [.. making.After.Select(Cleaned)],
        };

    private static OpenedHands Cleaned(OpenedHands hands) =>
        hands with
        {
            Text = PlainText.Line(hands.Text),
            Warning = hands.Warning is { } warning ? PlainText.Line(warning) : null,
            Check = hands.Check is { } check ? PlainText.Line(check) : null,
        };

    private protected override ImmutableArray<SewnThing> Things(OpenedMaking making, MakingInput input)
    {
        var (element, project) = (input.Element, input.Project);
        if (making.IsResting || element.Form is not OpenedForm form)
        {
            return [];
        }
        var map = OpenedFrame.Map(form, element.Box);
        var (across, down) = OpenedFrame.Scale(form, element.Box);
        var stage = new Stage(
            new StepKey(element.Id, StageTable.Of(StageId.Opened).Key, 0),
            StageId.Opened,
            ThreadOf(making, project)!,
            new OpenedPlan(form, map, making.Look, Math.Sqrt(across * down)),
            input.Outline,
            input.OutlineKey
        )
        {
            Words = making.RoleWords,
        };
        var areas = new OpenedAreas(making.FileId, map, project);
        return
        [
            new SewnThing(
                null,
                element.Name,
                0,
                input.Outline,
                [
                    .. making.Before.Select((hands, i) => areas.Act(hands, $"before{i + 1}")),
                    new SewingAct(ActPhase.Cover, stage),
                    .. making.After.Select((hands, i) => areas.Act(hands, $"after{i + 1}")),
                ]
            ),
        ];
    }

    private protected override double Beyond(OpenedMaking making, Element element, Project project) =>
        StitchDefaults.ThreadWidth / 2;

    private protected override string HowMade(OpenedMaking making, Element element, Project project) =>
        $"opened {OpenedLookTable.Of(making.Look).Words}, {making.RoleWords}";

    /// <summary>What its hands lay.</summary>
    private static IEnumerable<OpenedLaid> Laid(OpenedMaking making) =>
        making.Before.Concat(making.After).SelectMany(hands => hands.Changes).OfType<OpenedLaid>();

    private static ImmutableArray<OpenedHands> Renamed(ImmutableArray<OpenedHands> hands, IdMap ids) =>
        [
            .. hands.Select(each =>
                each with
                {
                    Changes =
                    [
                        .. each.Changes.Select(change =>
                            change is OpenedLaid laid ? laid with { ClothId = ids.Cloths[laid.ClothId] } : change
                        ),
                    ],
                }
            ),
        ];
}
