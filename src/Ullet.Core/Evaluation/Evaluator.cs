using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Cutting;
using Ullet.Core.Findings;
using Ullet.Core.Forms;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Lettering;
using Ullet.Core.Makings;
using Ullet.Core.Maps;
using Ullet.Core.Outlines;
using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Evaluation;

/// <summary>Sends a document through the stations; what did not change comes from the cache.</summary>
public sealed class Evaluator
{
    private readonly StationCache _cache;
    private readonly OutlineStation _outlines;
    private readonly CutShapeStation _cutShapes = new();
    private readonly LeftoverStation _leftovers = new();
    private readonly OrderStation _orders = new();
    private readonly ReadingStation _readings = new();
    private readonly CoverJudge _judge = new();
    private readonly SatinJudge _satin = new();
    private readonly HoldJudge _holds = new();

    /// <param name="cache">Where the stations' values are kept.</param>
    /// <param name="fonts">Where letters come from; null for none.</param>
    public Evaluator(StationCache cache, IGlyphSource? fonts = null)
    {
        _cache = cache;
        Fonts = fonts ?? new NoFonts();
        _outlines = new OutlineStation(Fonts);
    }

    public IGlyphSource Fonts { get; }

    /// <summary>The bare outline of one element: before its operations, without anything behind it.</summary>
    public Outline OutlineOf(Element element) => _cache.Get(_outlines, element).Whole;

    /// <summary>The same with its parts.</summary>
    public ElementOutline Bare(Element element) => _cache.Get(_outlines, element);

    /// <summary>The letters of words on the wall; none of anything else.</summary>
    public ImmutableArray<PartOutline> LettersOf(Element element) => _cache.Get(_outlines, element).Letters;

    /// <summary>Words as their font sets them, before they are fitted to their box.</summary>
    public LaidText Lay(TextForm words) => _outlines.Lay(words);

    /// <summary>Cap height of words as they stand, mm; 0 without their font, and of anything else.</summary>
    public double CapHeightOf(Element element)
    {
        var ink = element.FormedAs<TextForm>() is { } words ? Lay(words).Ink : Box.Empty;
        return ink.IsEmpty
            ? 0
            : TextModule.Room(element.FormedAs<TextForm>()!, ink, element.Box).Height / ink.Height * LaidText.CapHeight;
    }

    /// <summary>The middle of the first baseline of words on the wall, mm; null for anything else, and without their font.</summary>
    public Point? BaselineOf(Element element)
    {
        var ink = element.FormedAs<TextForm>() is { } words ? Lay(words).Ink : Box.Empty;
        if (ink.IsEmpty)
        {
            return null;
        }
        var room = TextModule.Room(element.FormedAs<TextForm>()!, ink, element.Box);
        return BoxFit.OnWall(element.Box, new Point(0, -ink.Centre.Y * room.Height / ink.Height));
    }

    /// <summary>What can be read off opened stitches, where they stand on the wall; null of anything else.</summary>
    public BlockReading? ReadingOf(Element element, CancellationToken cancellation = default) =>
        element.Form is OpenedForm form
            ? _cache.Get(_readings, form, cancellation).On(OpenedFrame.Map(form, element.Box))
            : null;

    /// <summary>How a shape's cut edge lies under the opened border that is to cover it; null where there is none.</summary>
    public BorderMatch? BorderOf(
        Project project,
        Element element,
        IReadOnlyDictionary<string, Outline> outlines,
        CancellationToken cancellation = default
    ) =>
        element.MadeAs<CutOnlyMaking>() is { CoveredBy: { } id } cut
        && project.Find(id) is { } border
        && ReadingOf(border, cancellation)?.Band is { } band
            ? BorderMatch.Of(OutlineOffset.By(outlines[element.Id], cut.Allowance ?? 0).Flatten(), band.Area)
            : null;

    /// <summary>An element's outline with its operations.</summary>
    public ShapedElement Shape(Project project, Element element, CancellationToken cancellation = default) =>
        new Shaping(_cache, _outlines, project, cancellation).Of(element);

    /// <summary>What is too small or too thin of an outline that operations made; nothing of a line.</summary>
    public Leftovers LeftoversOf(
        Element element,
        Project project,
        ElementOutline outline,
        ContentHash key,
        CancellationToken cancellation = default
    )
    {
        var parts = outline.Parts.Select(part => part.Outline).ToImmutableArray();
        return _cache.Get(_leftovers, new LeftoverInput(parts, key, StrokeFit.Covered(element, project)), cancellation);
    }

    /// <summary>Every stretch of an element's edge, covered or not.</summary>
    public ImmutableArray<EdgeStretch> StretchesOf(Evaluated evaluated, string elementId) =>
        [.. new Layering(_cache, evaluated.Project, evaluated.Shapes, default).StretchesOf(elementId)];

    /// <summary>Everything that the document gives, station after station.</summary>
    public Evaluated Evaluate(Project project, CancellationToken cancellation = default) =>
        Evaluate(project, null, cancellation);

    /// <summary>The same of a document that differs from one that was computed in its decoration only: an order of a master.</summary>
    /// <param name="project">The document.</param>
    /// <param name="like">The one that was computed. Where hands do the same in both up to the turn, its answer about turning is taken
    /// over; and how thread lies on words that the other has not is not judged. Null to compute and judge all.</param>
    /// <param name="cancellation">Ends it.</param>
    public Evaluated Evaluate(Project project, Evaluated? like, CancellationToken cancellation)
    {
        var plan = PatternShelf.PlanOf(project);
        var shapes = Shapes(project, cancellation);
        var work = new Workshop(_cache, project, shapes, cancellation).Of();
        var pieces = project.Elements.SelectMany(element => work[element.Id].Pieces).ToImmutableArray();
        var (runSheet, otherStops) = Planner.PlanWithOther(project, work, Search);
        var sewing = new Sewing(_cache, project, cancellation);
        var hoopings = StateCode.Marked([
            .. DerivedHoopings.Of(project, work).Prepend(new HoopingSheet(project.Hooping, runSheet)).Select(sewing.Of),
        ]);
        var first = hoopings[0];
        var cuts = Cuts(project, plan, work, pieces, cancellation);
        var sheets = SheetPlanner.Plan(project, PieceMarks.Marked(cuts, project.Cut));
        ImmutableArray<PieceAtWork> cloths = [.. pieces.Select(piece => piece.Work)];
        var outlines = shapes.ToDictionary(pair => pair.Key, pair => pair.Value.Outline.Whole, StringComparer.Ordinal);
        var layers = LayerStates.After(runSheet.Steps.Select(step => step is HandStep hand ? hand.Work.Changes : []));
        var turning =
            like is not null && Turns.IsAlike(first, like.Hoopings[0])
                ? like.Turning
                : Turns.Of(first, _cache, cancellation);
        var checkedOn = new FindingInput(project, outlines, cloths, first.Stitches, first.Program, sheets)
        {
            RunSheet = runSheet,
            Layers = layers,
            Plan = plan,
            Operated = Operated(project, shapes, cancellation),
            Covers =
            [
                .. Judged(_judge, stage => stage.Cover is not null, first, cancellation),
                .. Judged(_satin, stage => SatinJudge.Judges(stage) && IsJudged(stage, like), first, cancellation),
            ],
            CapHeightOf = CapHeightOf,
            ReadingOf = element => ReadingOf(element, cancellation),
            BorderOf = element => BorderOf(project, element, outlines, cancellation),
            Holds = Judged(_holds, HoldJudge.Judges, first, cancellation),
            Turning = turning,
        };
        return new Evaluated(project, outlines, cloths, hoopings, sheets, Checks.Run(checkedOn))
        {
            CheckedOn = checkedOn,
            Shapes = shapes,
            Work = work,
            Layers = layers,
            Turning = turning,
            Base = PatternBase.Of(project, plan, runSheet, layers),
            StopsOf = ImmutableDictionary<StitchOrder, int>
                .Empty.Add(project.RunSheet.Order, runSheet.StopCount)
                .Add(Planner.Other(project.RunSheet.Order), otherStops),
            Cuts = cuts,
        };

        OrderFound Search(OrderInput input) => _cache.Get(_orders, input, cancellation);
    }

    private static bool IsJudged(Stage stage, Evaluated? like) =>
        like is null
        || like.Hoopings[0].StitchKeys.TryGetValue(stage.Key, out var key) && key == new StitchStation().Key(stage);

    private Dictionary<string, ShapedElement> Shapes(Project project, CancellationToken cancellation)
    {
        var shaping = new Shaping(_cache, _outlines, project, cancellation);
        return project.Elements.ToDictionary(element => element.Id, shaping.Of, StringComparer.Ordinal);
    }

    private ImmutableArray<CutShape> Cuts(
        Project project,
        PatternPlan? plan,
        Dictionary<string, ElementAtWork> work,
        ImmutableArray<KeyedPiece> pieces,
        CancellationToken cancellation
    )
    {
        var cuts = pieces
            .Where(piece => AppliqueMethods.Of(piece.Work.Part.Element.Method).CutAllowance is not null)
            .Select(piece =>
                _cache.Get(
                    _cutShapes,
                    new CutShapeInput(piece.Work.Part, piece.Work.Outline, piece.LaidKey, piece.Work.Offset),
                    cancellation
                )
            );
        return
        [
            .. cuts.Where(shape => !LayerShapes.Covers(plan, shape, project.Find(shape.ElementId))),
            .. LayerShapes.Of(project, plan),
            .. project.Elements.SelectMany(element =>
                work[element.Id]
                    .CutOuts.Select(part => new CutShape(
                        element.Id,
                        part.Ordinal,
                        part.Name,
                        part.ClothId,
                        part.Outline,
                        0,
                        CutKind.Only
                    )
                    {
                        IsOfLetters = element.Form is TextForm,
                    })
            ),
        ];
    }

    private ImmutableArray<OperatedElement> Operated(
        Project project,
        Dictionary<string, ShapedElement> shapes,
        CancellationToken cancellation
    ) =>
        [
            .. project
                .Elements.Where(element => !shapes[element.Id].Operations.IsEmpty)
                .Select(element =>
                {
                    var shaped = shapes[element.Id];
                    return new OperatedElement(
                        element,
                        [.. shaped.Operations.Select(result => (result.Operation, result.State))],
                        LeftoversOf(element, project, shaped.Outline, shaped.Key, cancellation).All
                    );
                }),
        ];

    /// <summary>What a judge says of every sewn stage that it judges.</summary>
    private ImmutableArray<T> Judged<T>(
        IStation<SewnStage, T> judge,
        Func<Stage, bool> judges,
        HoopingOutput hooping,
        CancellationToken cancellation
    )
        where T : class =>
        [
            .. hooping
                .RunSheet.Steps.OfType<StitchStep>()
                .Where(step => judges(step.Stage))
                .Select(step =>
                    _cache.Get(
                        judge,
                        new SewnStage(step.Stage, hooping.Stitches[step.Key], hooping.StitchKeys[step.Key]),
                        cancellation
                    )
                ),
        ];
}
