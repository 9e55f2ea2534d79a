using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Cutting;
using Ullet.Core.Findings;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Outlines;
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
    private readonly ProgramStation _program = new();

    /// <param name="cache">Where the stations' values are kept.</param>
    /// <param name="fonts">Where letters come from; null for none.</param>
    public Evaluator(StationCache cache, IGlyphSource? fonts = null)
    {
        _cache = cache;
        Fonts = fonts ?? new NoFonts();
        _outlines = new OutlineStation(Fonts);
    }

    public IGlyphSource Fonts { get; }

    /// <summary>The outline of one element, without anything behind it.</summary>
    public Outline OutlineOf(Element element) => _cache.Get(_outlines, element).Whole;

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

    /// <summary>The outlines of an element's pieces moved outwards (or inwards, when negative) with their holes, mm.</summary>
    public ImmutableArray<Region> OffsetOf(AppliqueElement element, double distance)
    {
        var (outline, key) = (_cache.Get(_outlines, element), _outlines.Key(element));
        return
        [
            .. outline.Parts.SelectMany(part =>
                Offset(part.Outline, KeyOf(key, part), distance, keepHoles: true, CancellationToken.None).Regions
            ),
        ];
    }

    /// <summary>Everything that the document gives.</summary>
    public Evaluated Evaluate(Project project, CancellationToken cancellation = default)
    {
        var outlines = new Dictionary<string, Outline>(StringComparer.Ordinal);
        var work = new Dictionary<string, ElementAtWork>(StringComparer.Ordinal);
        foreach (var element in project.Elements)
        {
            var outline = _cache.Get(_outlines, element, cancellation);
            outlines[element.Id] = outline.Whole;
            work[element.Id] = Work(project, element, outline, cancellation);
        }
        var pieces = project.Elements.SelectMany(element => work[element.Id].Pieces).ToImmutableArray();
        var shapes = pieces
            .Select(piece =>
                _cache.Get(
                    _cutShapes,
                    new CutShapeInput(piece.Work.Part, piece.Work.Outline, piece.OutlineKey, piece.Work.Offset),
                    cancellation
                )
            )
            .ToImmutableArray();
        var runSheet = Planner.Plan(project, work);
        var stitches = new Dictionary<StepKey, StepStitches>();
        var keys = new Dictionary<StepKey, ContentHash>();
        foreach (var step in runSheet.Steps.OfType<StitchStep>())
        {
            keys[step.Key] = _stitches.Key(step.Stage);
            stitches[step.Key] = _cache.Get(_stitches, step.Stage, cancellation);
        }
        var program = _cache.Get(_program, new ProgramInput(project, runSheet, stitches, keys), cancellation);
        var sheets = SheetPlanner.Plan(project, shapes);
        ImmutableArray<PieceAtWork> cloths = [.. pieces.Select(piece => piece.Work)];
        var findings = Checks.Run(new FindingInput(project, outlines, cloths, stitches, program, sheets));
        return new Evaluated(project, outlines, cloths, runSheet, stitches, program, sheets, findings);
    }

    private ElementAtWork Work(Project project, Element element, ElementOutline outline, CancellationToken cancellation)
    {
        var key = _outlines.Key(element);
        if (element is AppliqueElement cloth && !outline.Parts.IsEmpty)
        {
            return new ElementAtWork(
                [
                    .. outline.Parts.Select(part =>
                    {
                        var own = KeyOf(key, part);
                        var at = new PieceAtWork(
                            AppliquePart.Of(cloth, part),
                            part.Outline,
                            project.FindCloth(cloth.ClothId)!,
                            (distance, keepHoles) => Offset(part.Outline, own, distance, keepHoles, cancellation)
                        );
                        return (at, own);
                    }),
                ],
                null
            );
        }
        var line = element switch
        {
            StitchedLine stitched => stitched.Stitching,
            Words { Use: LetteringUse.StitchedOutline } words when !outline.Whole.IsEmpty => words.Line,
            _ => null,
        };
        return new ElementAtWork(
            [],
            line is null ? null : StageNumbers.Line(project, element.Id, line, outline.Whole, key)
        );
    }

    /// <summary>A letter is known by its own edge, so that a change of another letter leaves its stitches be.</summary>
    private static ContentHash KeyOf(ContentHash element, PartOutline part) =>
        part.Ordinal == 0 && part.Letter is null ? element : OutlineHash.Of(part.Outline);

    private Area Offset(
        Outline outline,
        ContentHash key,
        double distance,
        bool keepHoles,
        CancellationToken cancellation
    ) => _cache.Get(_offsets, new OffsetInput(outline, key, distance, keepHoles), cancellation);
}
