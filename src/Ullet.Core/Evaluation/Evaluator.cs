using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Cutting;
using Ullet.Core.Findings;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Lettering;
using Ullet.Core.Maps;
using Ullet.Core.Outlines;
using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Stitches;

namespace Ullet.Core.Evaluation;

/// <summary>Sends a document through the stations; what did not change comes from the cache.</summary>
public sealed class Evaluator
{
    private readonly StationCache _cache;
    private readonly OutlineStation _outlines;
    private readonly OffsetStation _offsets = new();
    private readonly CutShapeStation _cutShapes = new();
    private readonly StitchStation _stitches = new();
    private readonly LeftoverStation _leftovers = new();
    private readonly ProgramStation _program = new();
    private readonly OrderStation _orders = new();
    private readonly CoverJudge _judge = new();

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
    public LaidText Lay(Words words) => _outlines.Lay(words);

    /// <summary>Cap height of words as they stand, mm; 0 without their font.</summary>
    public double CapHeightOf(Words words)
    {
        var ink = Lay(words).Ink;
        return ink.IsEmpty ? 0 : words.Box.Height / ink.Height * LaidText.CapHeight;
    }

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
        [
            .. new Layering(
                _cache,
                evaluated.Project,
                Shapes(evaluated.Project, evaluated.Shapes),
                default
            ).StretchesOf(elementId),
        ];

    /// <summary>Everything that the document gives.</summary>
    public Evaluated Evaluate(Project project, CancellationToken cancellation = default)
    {
        var shaping = new Shaping(_cache, _outlines, project, cancellation);
        var shapes = project.Elements.ToDictionary(element => element.Id, shaping.Of, StringComparer.Ordinal);
        var layering = new Layering(_cache, project, Shapes(project, shapes), cancellation);
        var work = project.Elements.ToDictionary(
            element => element.Id,
            element => Work(project, element, shapes[element.Id], layering, cancellation),
            StringComparer.Ordinal
        );
        var pieces = project.Elements.SelectMany(element => work[element.Id].Pieces).ToImmutableArray();
        var cuts = pieces
            .Where(piece => AppliqueMethods.Of(piece.Work.Part.Element.Method).CutAllowance is not null)
            .Select(piece =>
                _cache.Get(
                    _cutShapes,
                    new CutShapeInput(piece.Work.Part, piece.Work.Outline, piece.LaidKey, piece.Work.Offset),
                    cancellation
                )
            )
            .ToImmutableArray();
        OrderFound Search(OrderInput input) => _cache.Get(_orders, input, cancellation);
        var (runSheet, otherStops) = Planner.PlanWithOther(project, work, Search);
        var stitches = new Dictionary<StepKey, StepStitches>();
        var keys = new Dictionary<StepKey, ContentHash>();
        foreach (var step in runSheet.Steps.OfType<StitchStep>())
        {
            keys[step.Key] = _stitches.Key(step.Stage);
            stitches[step.Key] = _cache.Get(_stitches, step.Stage, cancellation);
        }
        var program = _cache.Get(_program, new ProgramInput(project, runSheet, stitches, keys), cancellation);
        var guides = Planner
            .Guides(project, work)
            .Select(guide => Marked(project, guide, cancellation))
            .ToImmutableArray();
        var stops = ImmutableDictionary<StitchOrder, int>
            .Empty.Add(project.RunSheet.Order, runSheet.StopCount)
            .Add(Planner.Other(project.RunSheet.Order), otherStops);
        var judged = runSheet
            .Steps.OfType<StitchStep>()
            .Where(step => step.Stage.Role == StageRole.Cover)
            .Select(step =>
                _cache.Get(_judge, new CoverJudgeInput(step.Stage, stitches[step.Key], keys[step.Key]), cancellation)
            )
            .ToImmutableArray();
        var plan = PatternShelf.PlanOf(project);
        cuts =
        [
            .. cuts.Where(shape => !LayerShapes.Covers(plan, shape, project.Find(shape.ElementId))),
            .. LayerShapes.Of(project, plan),
        ];
        var sheets = SheetPlanner.Plan(project, PieceMarks.Marked(cuts, project.Cut));
        ImmutableArray<PieceAtWork> cloths = [.. pieces.Select(piece => piece.Work)];
        var outlines = shapes.ToDictionary(pair => pair.Key, pair => pair.Value.Outline.Whole, StringComparer.Ordinal);
        var operated = project
            .Elements.Where(element => !shapes[element.Id].Operations.IsEmpty)
            .Select(element =>
            {
                var shaped = shapes[element.Id];
                return new OperatedElement(
                    element,
                    [.. shaped.Operations.Select(result => (result.Operation, result.State))],
                    LeftoversOf(element, project, shaped.Outline, shaped.Key, cancellation).All
                );
            })
            .ToImmutableArray();
        var layers = LayerStates.After(runSheet.Steps.Select(step => step is HandStep hand ? hand.Work.Changes : []));
        var findings = Checks.Run(
            new FindingInput(project, outlines, cloths, stitches, program, sheets)
            {
                RunSheet = runSheet,
                Plan = plan,
                Operated = operated,
                Covers = judged,
            }
        );
        return new Evaluated(project, outlines, cloths, runSheet, stitches, program, sheets, findings)
        {
            Shapes = shapes,
            Work = work,
            Layers = layers,
            Base = BaseOf(project, plan, runSheet, layers),
            Guides = guides,
            StopsOf = stops,
            Cuts = cuts,
        };
    }

    /// <summary>What lies in the hoop once the last panel of a pattern lies as it will stay.</summary>
    private static ImmutableArray<PresentLayer> BaseOf(
        Project project,
        PatternPlan? plan,
        RunSheet sheet,
        ImmutableArray<ImmutableArray<PresentLayer>> layers
    )
    {
        var ready = plan?.Panels.Select(panel => panel.ReadyAfter).ToHashSet() ?? [];
        var at = Enumerable.Range(0, sheet.Steps.Length).LastOrDefault(i => ready.Contains(sheet.Steps[i].Key), -1);
        return at < 0
            ? []
            :
            [
                .. layers[at]
                    .Where(layer =>
                        !layer.IsBehind
                        && layer.Cloth.Id != project.Hooping.GroundClothId
                        && project.Find(layer.Id) is null
                    ),
            ];
    }

    private HoopingOutput Marked(Project project, GuideSheet guide, CancellationToken cancellation)
    {
        var steps = guide.RunSheet.Steps.OfType<StitchStep>().ToList();
        var keys = steps.ToDictionary(step => step.Key, step => _stitches.Key(step.Stage));
        var stitches = steps.ToDictionary(step => step.Key, step => _cache.Get(_stitches, step.Stage, cancellation));
        var input = new ProgramInput(project, guide.RunSheet, stitches, keys, guide.Name);
        return new HoopingOutput(guide.Id, guide.Name, guide.RunSheet, _cache.Get(_program, input, cancellation));
    }

    private static IEnumerable<(Element, ShapedElement)> Shapes(
        Project project,
        IReadOnlyDictionary<string, ShapedElement> shapes
    ) => project.Elements.Select(element => (element, shapes[element.Id]));

    private ElementAtWork Work(
        Project project,
        Element element,
        ShapedElement shaped,
        Layering layering,
        CancellationToken cancellation
    )
    {
        if (element.IsConstruction)
        {
            return new ElementAtWork([], null);
        }
        if (element is AppliqueElement cloth && !shaped.Outline.Parts.IsEmpty)
        {
            return new ElementAtWork(
                [
                    .. layering
                        .Of(element.Id)
                        .Select(layer =>
                            AtWork(project, cloth, layer.Part, layer.Key, layer.Edges, layer.EdgesKey, cancellation)
                        ),
                ],
                null
            );
        }
        var line = element switch
        {
            StitchedLine stitched when !shaped.Outline.Whole.IsEmpty => stitched.Stitching,
            Words { Use: LetteringUse.StitchedOutline } words when !shaped.Outline.Whole.IsEmpty => words.Line,
            _ => null,
        };
        return new ElementAtWork(
            [],
            line is null
                ? null
                : StageNumbers.Line(
                    project,
                    element.Id,
                    line,
                    shaped.Outline.Whole,
                    shaped.Key,
                    (element as StitchedLine)?.Purpose
                )
        );
    }

    private KeyedPiece AtWork(
        Project project,
        AppliqueElement element,
        PartOutline outline,
        ContentHash key,
        OpenEdges edges,
        ContentHash edgesKey,
        CancellationToken cancellation
    )
    {
        var part = AppliquePart.Of(element, outline);
        var laidKey = ReferenceEquals(edges.Laid, outline.Outline) ? key : OutlineHash.Of(edges.Laid);
        var work = new PieceAtWork(
            part,
            edges.Laid,
            project.FindCloth(part.ClothId)!,
            (distance, keepHoles) => Offset(edges.Laid, laidKey, distance, keepHoles, cancellation)
        )
        {
            Edge = outline.Outline,
            Visible = edges.Visible,
            Stretches = edges.Visible is null ? [] : edges.Stretches,
            IsBuried = edges.IsBuried,
            Exact = project.Cut.Of(part.ClothId).Tolerances,
        };
        return new KeyedPiece(work, laidKey, edgesKey);
    }

    private Area Offset(
        Outline outline,
        ContentHash key,
        double distance,
        bool keepHoles,
        CancellationToken cancellation
    ) => _cache.Get(_offsets, new OffsetInput(outline, key, distance, keepHoles), cancellation);
}
