using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Lettering;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Makings;

/// <summary>Satin: strokes from side to side over letters, shapes and along lines.</summary>
internal sealed class SatinModule : MakingModule<SatinMaking>
{
    public override string Kind => "satin";

    public override string Name => "Satin";

    public override string Summary => "Thread in strokes from side to side: names, small motifs, lines of a width.";

    public override string? Unfit(Element element) => null;

    public override Making Begun(Element element, Project project) =>
        (
            project.Elements.Select(other => other.MadeAs<SatinMaking>()).LastOrDefault(made => made is not null)
                is { } last
                ? new SatinMaking { ThreadId = last.ThreadId }
                : new SatinMaking()
        ) with
        {
            AlongLines = element.FormedAs<DrawingForm>() is { IsOpen: true } || IsOfLines(element),
            Band = IsOfLines(element) ? SatinBand.OfLetters : new SatinBand(),
            // Letters of 4 mm would run together if their strokes were widened.
            Compensation = IsOfLines(element) ? 0 : null,
        };

    private static bool IsOfLines(Element element) =>
        element.FormedAs<TextForm>() is { } words && SingleLineFonts.Has(words.FontId);

    private protected override Refusal? Check(SatinMaking making) => SatinLimits.Check(making);

    private protected override IEnumerable<(string What, int Count, int Most)> Counts(SatinMaking making) =>
        [("direction lines", making.Directions.Length, SatinMaking.MostDirections)];

    private protected override IEnumerable<string> ThreadIds(SatinMaking making) =>
        new[] { making.ThreadId, making.Edge?.ThreadId }.OfType<string>();

    private protected override string? ThreadOf(SatinMaking making, Project project) =>
        project.FindThread(making.ThreadId)?.Id ?? project.Hooping.CoverThreadId;

    private protected override SatinMaking InThread(SatinMaking making, string threadId) =>
        making with
        {
            ThreadId = threadId,
        };

    private protected override SatinMaking Renamed(SatinMaking making, IdMap ids) =>
        making with
        {
            ThreadId = ids.Thread(making.ThreadId),
            Edge = making.Edge is { } edge ? edge with { ThreadId = ids.Thread(edge.ThreadId) } : null,
        };

    private protected override SatinMaking AsFirstSet(SatinMaking making) =>
        new()
        {
            AlongLines = making.AlongLines,
            ThreadId = making.ThreadId,
            Band = SatinLimits.Check(new SatinMaking { Band = making.Band }) is null ? making.Band : new SatinBand(),
            Directions = making.Directions,
        };

    private protected override ImmutableArray<SewnThing> Things(SatinMaking making, MakingInput input)
    {
        var (project, element) = (input.Project, input.Element);
        // Letters of single lines have no area.
        making = input.Outline.Parts.IsEmpty ? making with { AlongLines = true } : making;
        var parts =
            making.IsStepPerLetter && input.Letters.Length > 1
                ? [.. InOrder(making.Order, input.Letters)]
                : ImmutableArray.Create(new PartOutline(0, null, input.Outline));
        return
        [
            .. parts.Select(part =>
                Thing(making, project, element, part, part.Letter is null ? input.OutlineKey : null)
            ),
        ];
    }

    /// <summary>Letters as they are sewn one by one.</summary>
    private static IEnumerable<PartOutline> InOrder(LetterOrder order, ImmutableArray<PartOutline> letters) =>
        order switch
        {
            LetterOrder.LeftToRight => letters,
            LetterOrder.FromMiddle => letters
                .Skip(letters.Length / 2)
                .Concat(letters.Take(letters.Length / 2).Reverse()),
        };

    private static SewnThing Thing(
        SatinMaking making,
        Project project,
        Element element,
        PartOutline part,
        ContentHash? known
    )
    {
        var key = known ?? OutlineHash.Of(part.Outline);
        var thread = project.FindThread(making.ThreadId) ?? project.FindThread(project.Hooping.CoverThreadId);
        var satin = new Stage(
            new StepKey(element.Id, StageTable.Of(StageId.Satin).Key, part.Ordinal),
            StageId.Satin,
            thread?.Id ?? project.Hooping.CoverThreadId,
            new SatinPlan(
                SatinChoice.Numbers(making, SatinChoice.Ground(element, project), thread),
                making.AlongLines ? making.Band : null,
                [
                    .. making.Directions.Select(line => new StrokeDirection(
                        BoxFit.OnWall(element.Box, line.From),
                        BoxFit.OnWall(element.Box, line.To)
                    )),
                ],
                making.Order,
                making.JoinNearer ?? SatinChoice.JoinNearer
            ),
            part.Outline,
            key
        );
        var acts = ImmutableArray.Create<MakingAct>(new SewingAct(ActPhase.Cover, satin));
        if (making.Edge is { } edge)
        {
            var line = new SewingAct(ActPhase.Cover, SatinChoice.Edge(edge, satin, project));
            acts = edge.IsBefore ? acts.Insert(0, line) : acts.Add(line);
        }
        var name = part.Letter is { } letter ? $"{element.Name}, {letter}" : element.Name;
        return new SewnThing(null, name, part.Ordinal, part.Outline, acts);
    }

    private protected override double Beyond(SatinMaking making, Element element, Project project) =>
        SatinChoice
            .Numbers(making, SatinChoice.Ground(element, project), project.FindThread(making.ThreadId))
            .Compensation
        + (making.AlongLines ? making.Band.Width / 2 : 0)
        + (making.Edge is { Stitch: EdgeStitch.Satin or EdgeStitch.Motif } ? SatinChoice.EdgeWidth / 2 : 0);

    private protected override string HowMade(SatinMaking making, Element element, Project project) =>
        making.AlongLines ? $"a satin line {LengthText.Mm(making.Band.Width)} wide" : "in satin";
}
