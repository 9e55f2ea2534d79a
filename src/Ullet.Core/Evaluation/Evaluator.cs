using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Cutting;
using Ullet.Core.Findings;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Stitches;

namespace Ullet.Core.Evaluation;

/// <summary>Sends a document through the stations; what did not change comes from the cache.</summary>
public sealed class Evaluator(StationCache cache)
{
    private readonly OutlineStation _outlines = new();
    private readonly OffsetStation _offsets = new();
    private readonly CutShapeStation _cutShapes = new();
    private readonly StitchStation _stitches = new();
    private readonly ProgramStation _program = new();

    /// <summary>The outline of one piece, without anything behind it.</summary>
    public Outline OutlineOf(Piece piece) => cache.Get(_outlines, piece);

    /// <summary>A piece's outline moved outwards (or inwards, when negative) with its holes, mm.</summary>
    public ImmutableArray<Region> OffsetOf(Piece piece, double distance) =>
        cache.Get(_offsets, new OffsetInput(OutlineOf(piece), _outlines.Key(piece), distance, KeepHoles: true)).Regions;

    /// <summary>Everything that the document gives.</summary>
    public Evaluated Evaluate(Project project, CancellationToken cancellation = default)
    {
        var pieces = new Dictionary<string, (PieceAtWork Work, ContentHash OutlineKey)>(StringComparer.Ordinal);
        var shapes = ImmutableArray.CreateBuilder<CutShape>();
        foreach (var piece in project.Elements.OfType<Piece>())
        {
            var outline = cache.Get(_outlines, piece, cancellation);
            var key = _outlines.Key(piece);
            Area Offset(double distance, bool keepHoles) =>
                cache.Get(_offsets, new OffsetInput(outline, key, distance, keepHoles), cancellation);
            pieces[piece.Id] = (new PieceAtWork(piece, outline, project.FindCloth(piece.ClothId)!, Offset), key);
            shapes.Add(cache.Get(_cutShapes, new CutShapeInput(piece, outline, key, Offset), cancellation));
        }
        var runSheet = Planner.Plan(project, pieces);
        var stitches = new Dictionary<StepKey, StepStitches>();
        var keys = new Dictionary<StepKey, ContentHash>();
        foreach (var step in runSheet.Steps.OfType<StitchStep>())
        {
            keys[step.Key] = _stitches.Key(step.Stage);
            stitches[step.Key] = cache.Get(_stitches, step.Stage, cancellation);
        }
        var program = cache.Get(_program, new ProgramInput(project, runSheet, stitches, keys), cancellation);
        var outlines = pieces.ToDictionary(pair => pair.Key, pair => pair.Value.Work.Outline, StringComparer.Ordinal);
        var sheets = SheetPlanner.Plan(project, shapes.ToImmutable());
        var findings = Checks.Run(new FindingInput(project, outlines, stitches, program, sheets));
        return new Evaluated(project, outlines, runSheet, stitches, program, sheets, findings);
    }
}
