using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Opened;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;
using Ullet.Files.Fonts;
using Ullet.Server.Documents;

namespace Ullet.Bench;

/// <summary>Pieces of every cover and method sewn, and read off their bare needle points again: step, block, command, place, thread.</summary>
internal static class RecoveryBench
{
    private const double Near = 0.1;
    private const double Far = 0.25;

    private static readonly CoverKind?[] Covers =
    [
        CoverKind.Satin,
        CoverKind.Zigzag,
        CoverKind.Blanket,
        CoverKind.Motif,
        CoverKind.Bean,
    ];

    private sealed record Case(string Name, Method Method, CoverKind Cover, IReadOnlyList<Region> Regions);

    private sealed record Outcome(
        Case Case,
        double NearShare,
        double Farthest,
        double? WidthOff,
        double? SpacingOff,
        bool MethodRight,
        bool HandsRight,
        int False,
        bool Found,
        string Looks
    );

    internal static IEnumerable<string> Run(int count, bool says)
    {
        var outcomes = Cases(count).Select(Judged).OfType<Outcome>().ToList();
        if (says)
        {
            foreach (
                var bad in outcomes.Where(o =>
                    !o.Found
                    || o.NearShare < 0.95
                    || o.Farthest > Far
                    || !o.MethodRight
                    || o.False > 0
                    || o.WidthOff > 0.1
                    || o.SpacingOff > 0.02
                )
            )
            {
                yield return $"{bad.Case.Name, -34} {bad.Case.Method, -15} {bad.Case.Cover, -8} found {bad.Found} near {bad.NearShare:0.00} far {bad.Farthest:0.00} width {bad.WidthOff:0.00} spacing {bad.SpacingOff:0.000} method {bad.MethodRight} hands {bad.HandsRight} false {bad.False} {bad.Looks}";
            }
        }
        foreach (var group in outcomes.GroupBy(o => (o.Case.Method, o.Case.Cover)))
        {
            yield return Line($"{group.Key.Method} {group.Key.Cover}", [.. group]);
        }
        yield return Line("all", outcomes);
    }

    private static string Line(string name, List<Outcome> all)
    {
        double Share(Func<Outcome, bool> holds) => all.Count == 0 ? 0 : 100.0 * all.Count(holds) / all.Count;
        return $"{name, -32} n {all.Count, 4}  found {Share(o => o.Found), 5:0.0}  outline {Share(o => o.Found && o.NearShare >= 0.95 && o.Farthest <= Far), 5:0.0}"
            + $"  width {Share(o => o.WidthOff is null or <= 0.1), 5:0.0}  spacing {Share(o => o.SpacingOff is null or <= 0.02), 5:0.0}"
            + $"  method {Share(o => o.MethodRight), 5:0.0}  with hands {Share(o => o.HandsRight), 5:0.0}  none false {Share(o => o.False == 0), 5:0.0}";
    }

    private static IEnumerable<Case> Cases(int count)
    {
        var shapes = QualitySamples
            .Named()
            .Concat(QualitySamples.Random(count))
            .Concat(QualitySamples.Icons().Where((_, i) => i % Math.Max(1, 600 / count) == 0))
            .Concat(
                QualitySamples
                    .Fonts(50)
                    .Select(each => (each.Name, each.Regions))
                    .Where((_, i) => i % Math.Max(1, 2000 / count) == 0)
            );
        var number = 0;
        foreach (var (name, regions) in shapes)
        {
            var method = AppliqueMethods.All[number % AppliqueMethods.All.Length].Id;
            var cover = method == Method.RawEdge ? CoverKind.RawEdge : Covers[number / 6 % Covers.Length]!.Value;
            number++;
            yield return new Case(name, method, cover, regions);
        }
    }

    private static Outcome? Judged(Case tried)
    {
        var context = new EditContext(new Evaluator(new StationCache(), new FontShelf()));
        var project = BlankProject.Make("Bench", 240, 360).Value;
        var outline = new Outline([
            .. tried.Regions.Select(region => new OutlinePart(
                Contour.Polygon(region.Shell.Points),
                [.. region.Holes.Select(hole => Contour.Polygon(hole.Points))]
            )),
        ]);
        if (outline.Parts.IsEmpty)
        {
            return null;
        }
        var box = outline.Bounds();
        var element = DrawnElements.Piece(
            outline.Parts.Length == 1 ? outline.Parts[0] : outline.Parts.MaxBy(part => part.Flatten().Area)!,
            box.Centre
        ) with
        {
            Id = "e1",
            Name = "Piece",
            Making = new ClothMaking
            {
                ClothId = project.Cloths.First(cloth => cloth.Kind == ClothKind.WovenCotton).Id,
                Method = tried.Method,
                Stages = new StageSettings
                {
                    Cover = new CoverSettings { Kind = tried.Cover == CoverKind.RawEdge ? null : tried.Cover },
                },
            },
        };
        project = project with { Elements = [element] };
        var evaluated = context.Evaluator.Evaluate(project);
        var piece = evaluated.PiecesOf("e1").FirstOrDefault();
        if (piece is null)
        {
            return null;
        }
        var steps = evaluated.Hoopings[0].Program.Steps;
        var blocks = steps.OfType<ProgramStitches>().Where(step => step.Commands.Length > 0).ToList();
        var readings = blocks
            .Select(step => BlockReader.Read(DesignOfProgram.Points(step.Commands)))
            .ToImmutableArray();
        var found = new PieceFinder(readings).Find();
        var withHands = new PieceFinder(readings, i => Between(steps, blocks[i])).Find();
        var best = found.MinBy(each => Distances(piece.Line, each.Outline).Max);
        var (near, max) = best is null ? (0, 99) : Distances(piece.Line, best.Outline);
        var cover = CoverChoice.Of(AppliqueElement.Of(element)!, project);
        var isBand = cover.Kind is CoverKind.Satin or CoverKind.Zigzag;
        return new Outcome(
            tried,
            near,
            max,
            isBand && best?.Cover is { } own
                ? Math.Abs(own.Width - cover.Band.Width - (2 * cover.Band.Compensation))
                : null,
            isBand && best?.Cover is { } spaced ? Math.Abs(spaced.Spacing - cover.Band.Spacing) : null,
            best is not null && IsAlike(best.Method, tried.Method),
            withHands.Any(each => IsAlike(each.Method, tried.Method)),
            Math.Max(0, found.Length - 1),
            best is not null,
            string.Join(
                " ",
                blocks.Zip(
                    readings,
                    (b, r) =>
                        $"{b.Role}:{r.Look}/{r.Rings.Count()}r{(r.Rings.Any() ? r.Rings.Max(x => x.Passes) : 0)}p/{r.Band?.Area.Length}b{r.Lines.Length}l"
                )
            )
        );
    }

    private static bool IsAlike(Method found, Method meant) =>
        found == meant || (found == Method.CutBeforehand && meant == Method.MarkedOnCloth);

    private static HandsBetween? Between(ImmutableArray<ProgramStep> steps, ProgramStitches block)
    {
        var at = steps.IndexOf(block);
        var hands = steps.Take(at).Reverse().TakeWhile(step => step is ProgramHands).Cast<ProgramHands>().ToList();
        var laid = hands
            .SelectMany(hand => hand.Changes)
            .OfType<Ullet.Core.Layers.LayerLaid>()
            .Where(each => each.LayerId != "ground")
            .ToList();
        return new HandsBetween(
            laid.Exists(each => !each.IsBeneath),
            laid.Exists(each => each.IsBeneath),
            hands.Exists(hand => hand.Kind == HandKind.Trim)
        );
    }

    /// <summary>The share of an outline that a found one is near to, and how far it is at most, either way.</summary>
    private static (double Near, double Max) Distances(Outline meant, OutlinePart found)
    {
        var edges = new SegmentIndex(found.Flatten().Rings);
        var own = meant.Flatten().SelectMany(region => region.Rings).ToList();
        var back = new SegmentIndex(own);
        var there = own.SelectMany(ring => Along(ring))
            .Select(at => edges.Nearest(at, 5)?.DistanceTo(at) ?? 5)
            .ToList();
        var here = found
            .Flatten()
            .Rings.SelectMany(ring => Along(ring))
            .Select(at => back.Nearest(at, 5)?.DistanceTo(at) ?? 5)
            .ToList();
        return (there.Count(d => d <= Near) / (double)there.Count, Math.Max(there.Max(), here.Max()));
    }

    private static IEnumerable<Point> Along(Ring ring)
    {
        var along = new ArcLength([.. ring.Points, ring.Points[0]]);
        var count = Math.Max(50, (int)(along.Total / 0.5));
        return Enumerable.Range(0, count).Select(i => along.At(along.Total * i / count));
    }
}
