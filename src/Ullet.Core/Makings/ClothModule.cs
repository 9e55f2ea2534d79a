using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Makings;

/// <summary>Cloth that is laid, sewn on and covered, as its method says.</summary>
internal sealed class ClothModule : MakingModule<ClothMaking>
{
    public override string Kind => "cloth";

    public override string Name => "Cloth";

    public override string Summary => "A piece of cloth is laid and sewn on, and its edge covered.";

    public override string? Unfit(Element element) =>
        NeedsLettersToCut(element, "Choose another font, or sew it as a line or in satin.")
        ?? NeedsArea(element, "cloth");

    public override Making Begun(Element element, Project project) =>
        project.Habits.Begun(
            new ClothMaking { ClothId = UsualCloths.Of(project)?.Id ?? project.Hooping.TopClothId },
            UsualCloths.MethodOf(project)
        );

    private protected override Refusal? Check(ClothMaking making) => StageLimits.Check(making);

    private protected override IEnumerable<(string What, int Count, int Most)> Counts(ClothMaking making) =>
        [("stretches set by hand", making.EdgeTouches.Length, StageLimits.MostTouches)];

    private protected override IEnumerable<string> ClothIds(ClothMaking making) => [making.ClothId];

    private protected override IEnumerable<string> ThreadIds(ClothMaking making)
    {
        var stages = making.Stages;
        return new[]
        {
            stages.CutGuide.ThreadId,
            stages.Placement.ThreadId,
            stages.TackDown.ThreadId,
            stages.Cover.ThreadId,
        }
            .Concat(stages.Cover.Stretches.Select(own => own.ThreadId))
            .OfType<string>();
    }

    private protected override string? ClothOf(ClothMaking making) => making.ClothId;

    private protected override ClothMaking InCloth(ClothMaking making, string clothId) =>
        making with
        {
            ClothId = clothId,
        };

    /// <summary>Of the cover; of the tack-down where there is none.</summary>
    private protected override string? ThreadOf(ClothMaking making, Project project) =>
        making.Stages.Cover.Off
            ? project.FindThread(making.Stages.TackDown.ThreadId)?.Id ?? project.Hooping.LineThreadId
            : project.FindThread(making.Stages.Cover.ThreadId)?.Id ?? project.Hooping.CoverThreadId;

    private protected override ClothMaking InThread(ClothMaking making, string threadId) =>
        making with
        {
            Stages = making.Stages.Cover.Off
                ? making.Stages with
                {
                    TackDown = making.Stages.TackDown with { ThreadId = threadId },
                }
                : making.Stages with
                {
                    Cover = making.Stages.Cover with { ThreadId = threadId },
                },
        };

    private protected override ClothMaking Renamed(ClothMaking making, IdMap ids)
    {
        var stages = making.Stages;
        return making with
        {
            ClothId = ids.Cloths[making.ClothId],
            Stages = new StageSettings
            {
                CutGuide = stages.CutGuide with { ThreadId = ids.Thread(stages.CutGuide.ThreadId) },
                Placement = stages.Placement with { ThreadId = ids.Thread(stages.Placement.ThreadId) },
                TackDown = stages.TackDown with { ThreadId = ids.Thread(stages.TackDown.ThreadId) },
                Cover = stages.Cover with
                {
                    ThreadId = ids.Thread(stages.Cover.ThreadId),
                    Stretches =
                    [
                        .. stages.Cover.Stretches.Select(own => own with { ThreadId = ids.Thread(own.ThreadId) }),
                    ],
                },
            },
        };
    }

    private protected override ClothMaking AsFirstSet(ClothMaking making) =>
        making with
        {
            Stages = new StageSettings(),
            CutAllowance = null,
            Drift = null,
            CutsAsSewn = false,
        };

    private protected override ImmutableArray<SewnThing> Things(ClothMaking making, MakingInput input) =>
        [
            .. input.Pieces.Select(piece => new SewnThing(
                piece,
                piece.Work.Part.Name,
                piece.Work.Part.Ordinal,
                piece.Work.Edge,
                [.. Acts(input.Project, piece)]
            )),
        ];

    private protected override ImmutableArray<MarkedPiece> Marked(ClothMaking making, MakingInput input) =>
        !AppliqueMethods.Of(making.Method).Stages.Contains(StageId.CutGuide) || making.Stages.CutGuide.Off
            ? []
            :
            [
                .. input.Pieces.Select(piece => new MarkedPiece(
                    piece.Work.Cloth,
                    piece.Work.Part.Name,
                    piece.Work.Part.Ordinal,
                    ClothStages.Resolve(input.Project, piece.Work, StageId.CutGuide, piece.LineKey),
                    AppliqueMethods.Of(making.Method).AfterGuide(piece.Work)
                )),
            ];

    private protected override double Beyond(ClothMaking making, Element element, Project project) =>
        making.Stages.Cover.Off ? 0 : CoverChoice.Of(new AppliqueElement(element, making), project).Outside;

    private protected override string HowMade(ClothMaking making, Element element, Project project) =>
        AppliqueMethods.Of(making.Method).Name.ToLowerInvariant();

    private protected override string OfWhat(ClothMaking making, Project project) =>
        project.FindCloth(making.ClothId)!.Name;

    private static IEnumerable<MakingAct> Acts(Project project, KeyedPiece piece)
    {
        var work = piece.Work;
        var acts = AppliqueMethods.Of(work.Part.Element.Method).Acts(work);
        for (var i = 0; i < acts.Length; i++)
        {
            Budget.Spend();
            var handsFollow = acts.Skip(i + 1).Any(act => act is HandAct);
            if (acts[i] is StageAct stage && !work.Part.Element.Stages.IsOff(stage.Id))
            {
                var isCover = stage.Id == StageId.Cover;
                if (isCover && work.Visible is { WholeRings.IsEmpty: true, Stretches.IsEmpty: true })
                {
                    continue;
                }
                yield return new SewingAct(
                    stage.Id == StageId.Placement ? ActPhase.Placement
                        : isCover && !handsFollow ? ActPhase.Cover
                        : ActPhase.TackDown,
                    ClothStages.Resolve(project, work, stage.Id, isCover ? piece.EdgeKey : piece.LineKey)
                );
            }
            else if (acts[i] is HandAct hand)
            {
                yield return new HandWorkAct(hand.Work.Kind == HandKind.Lay ? ActPhase.Lay : ActPhase.Trim, hand.Work);
            }
        }
    }
}
