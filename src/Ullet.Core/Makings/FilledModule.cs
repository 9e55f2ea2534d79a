using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Lettering;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Makings;

/// <summary>Filled: rows of stitches over an area.</summary>
internal sealed class FilledModule : MakingModule<FilledMaking>
{
    public override string Kind => "filled";

    public override string Name => "Filled";

    public override string Summary =>
        "Thread in rows over an area: leaves, noses, small motifs, film that shines through.";

    public override string? Unfit(Element element) =>
        element.FormedAs<DrawingForm>() is { IsOpen: true }
            ? $"{element.Name} is an open line: it has no area to fill. Close it, or make it a line or satin."
        : element.FormedAs<TextForm>() is { } words && SingleLineFonts.Has(words.FontId)
            ? $"The letters of {element.Name} are single lines without an area. Choose another font to fill them."
        : null;

    public override Making Begun(Element element, Project project) =>
        project.Elements.Select(other => other.MadeAs<FilledMaking>()).LastOrDefault(made => made is not null)
            is { } last
            ? new FilledMaking { ThreadId = last.ThreadId }
            : new FilledMaking { ThreadId = element.SettingsOf<SatinMaking>()?.ThreadId };

    private protected override Refusal? Check(FilledMaking making) => FillLimits.Check(making);

    private protected override IEnumerable<(string What, int Count, int Most)> Counts(FilledMaking making) =>
        [("places of the guide", making.Guide.Length, FilledMaking.MostGuide)];

    private protected override IEnumerable<string> ClothIds(FilledMaking making) =>
        making.FilmClothId is { } film ? [film] : [];

    private protected override IEnumerable<string> ThreadIds(FilledMaking making) =>
        new[] { making.ThreadId, making.SecondThreadId, making.Edge?.ThreadId }.OfType<string>();

    private protected override string? ThreadOf(FilledMaking making, Project project) =>
        project.FindThread(making.ThreadId)?.Id ?? project.Hooping.CoverThreadId;

    private protected override FilledMaking InThread(FilledMaking making, string threadId) =>
        making with
        {
            ThreadId = threadId,
        };

    private protected override FilledMaking Renamed(FilledMaking making, IdMap ids) =>
        making with
        {
            ThreadId = ids.Thread(making.ThreadId),
            SecondThreadId = ids.Thread(making.SecondThreadId),
            FilmClothId = making.FilmClothId is { } film ? ids.Cloths[film] : null,
            Edge = making.Edge is { } edge ? edge with { ThreadId = ids.Thread(edge.ThreadId) } : null,
        };

    private protected override FilledMaking AsFirstSet(FilledMaking making) =>
        new()
        {
            ThreadId = making.ThreadId,
            SecondThreadId = making.SecondThreadId,
            Pattern = making.Pattern,
            FilmClothId = making.FilmClothId,
        };

    private protected override ImmutableArray<SewnThing> Things(FilledMaking making, MakingInput input)
    {
        var (project, element) = (input.Project, input.Element);
        var thread = project.FindThread(making.ThreadId) ?? project.FindThread(project.Hooping.CoverThreadId);
        var fill = new Stage(
            new StepKey(element.Id, StageTable.Of(StageId.Fill).Key, 0),
            StageId.Fill,
            thread?.Id ?? project.Hooping.CoverThreadId,
            FillChoice.Plan(making, element, project, thread),
            input.Outline,
            input.OutlineKey
        );
        var acts = ImmutableArray.Create<MakingAct>(new SewingAct(ActPhase.Cover, fill));
        if (project.FindCloth(making.FilmClothId ?? "") is { } film)
        {
            // All in the cover's phase: whatever order is chosen, film is torn away before the next thing is sewn.
            acts =
            [
                new HandWorkAct(ActPhase.Cover, FilmHands.Lay(element, film, input.Outline)),
                .. acts,
                new HandWorkAct(ActPhase.Cover, FilmHands.Tear(element, film, input.Outline)),
            ];
        }
        if (making.Edge is { } edge)
        {
            var line = new SewingAct(ActPhase.Cover, SatinChoice.Edge(edge, fill, project));
            acts = edge.IsBefore ? acts.Insert(0, line) : acts.Add(line);
        }
        return [new SewnThing(null, element.Name, 0, input.Outline, acts)];
    }

    private protected override double Beyond(FilledMaking making, Element element, Project project) =>
        FillChoice
            .Numbers(making, element, SatinChoice.Ground(element, project), project.FindThread(making.ThreadId))
            .Compensation
        + (making.Edge is { Stitch: EdgeStitch.Satin or EdgeStitch.Motif } ? SatinChoice.EdgeWidth / 2 : 0);

    private protected override string HowMade(FilledMaking making, Element element, Project project) =>
        "filled with rows";
}
