using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Forms;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Samples;
using Ullet.Files.Fonts;
using Ullet.Files.StitchFiles;
using Ullet.Server.Documents;

namespace Ullet.Bench;

/// <summary>The stitch engine against gzip of its own text, its growth, and the cost of changing one piece.</summary>
internal static class EngineBench
{
    private const int Stitches = 60_000;

    private const int WarmUp = 40;

    internal static IEnumerable<Ratio> Run()
    {
        var large = Grown(Stitches);
        var work = new Work(large);
        var text = StitchFormats.Make(StitchFormats.List, work.Evaluated.Program);
        var gzip = Measured.Median(9, _ => Yardstick.Gzip(text));
        var fresh = Measured.Median(9, _ => work.Sew(withOutlines: true), WarmUp);
        yield return new Ratio(
            $"all stitches of {Stitches:N0}, outlines included, against gzip",
            fresh,
            1.5 * gzip,
            IsAim: true
        );
        var beside = Measured.Median(9, _ => work.Sew(withOutlines: true, isSideBySide: true), WarmUp);
        yield return new Ratio("covers side by side where cores are free, against one core", beside, fresh);
        var sewn = Measured.Median(9, _ => work.Sew(withOutlines: false), WarmUp);
        yield return new Ratio("the same with the outlines cached", sewn, 0.5 * gzip, IsAim: true);

        // Another tenth of the large project each time: the same few pieces over and over would be sewn from memory of their own.
        var tenths = Enumerable.Range(0, 10).Select(part => new Work(Grown(Stitches / 10, part))).ToArray();
        var hundredth = new Work(Grown(Stitches / 100));
        var (small, least) = (
            Measured.Median(60, i => tenths[i % 10].Sew(withOutlines: true)),
            Measured.Median(100, _ => hundredth.Sew(withOutlines: true))
        );
        yield return new Ratio("ten times the stitches against twelve times the time", fresh, 12 * small);
        yield return new Ratio("a hundred times against 120 times the time", fresh, 120 * least);

        var (rough, smooth) = (NastyOutlines.Noisy(3000, 0.1), NastyOutlines.Noisy(3000, 0));
        yield return new Ratio(
            "an outline of 3,000 noisy points against three times the same drawn smoothly",
            Measured.Median(9, _ => Cover(rough)),
            3 * Measured.Median(9, _ => Cover(smooth))
        );

        var context = new EditContext(new Evaluator(new StationCache()));
        context.Evaluator.Evaluate(large);
        var one = large.Elements[0].Id;
        var changed = Measured.Median(
            20,
            i => context.Evaluator.Evaluate(Resized(large, one, 40 + (i * 0.001), context))
        );
        var whole = Measured.Median(5, _ => new Evaluator(new StationCache()).Evaluate(large));
        yield return new Ratio("one piece changed among all, against a fifth of all", changed, whole / 5);
    }

    private static StepStitches Cover(Region outline) =>
        SatinCover.Make(SmoothedRing.Of([outline]), new SatinNumbers(3.5, 0.40, 0.6, 0.2), CancellationToken.None);

    /// <summary>The stations from elements to needle points of a project, run without a cache.</summary>
    private sealed class Work
    {
        private readonly OutlineStation _outlines = new(new FontShelf());
        private readonly StitchStation _stitches = new();
        private readonly ProgramStation _program = new();
        private readonly Project _project;
        private readonly Dictionary<StepKey, ContentHash> _keys;

        internal Work(Project project)
        {
            _project = project;
            Evaluated = new Evaluator(new StationCache()).Evaluate(project);
            _keys = Evaluated
                .RunSheet.Steps.OfType<StitchStep>()
                .ToDictionary(step => step.Key, step => _stitches.Key(step.Stage));
        }

        internal Evaluated Evaluated { get; }

        internal void Sew(bool withOutlines, bool isSideBySide = false)
        {
            if (withOutlines)
            {
                foreach (var element in _project.Elements)
                {
                    _outlines.Compute(element, CancellationToken.None);
                }
            }
            var steps = Evaluated.RunSheet.Steps.OfType<StitchStep>().ToList();
            StepStitches Sewn(StitchStep step) => _stitches.Compute(step.Stage, CancellationToken.None);
            StepStitches[] sewn = isSideBySide ? SideBySide.Map(steps, Sewn) : [.. steps.Select(Sewn)];
            var stitches = steps.Zip(sewn).ToDictionary(pair => pair.First.Key, pair => pair.Second);
            _program.Compute(
                new ProgramInput(_project, _project.Hooping, Evaluated.RunSheet, stitches, _keys),
                CancellationToken.None
            );
        }
    }

    /// <summary>A project of shields of about as many needle points as asked; none lies on another, and every six are turned
    /// alike, so that ten times as many are ten times the work.</summary>
    /// <param name="stitches">How many needle points.</param>
    /// <param name="part">Which of several projects of as many that follow one another.</param>
    internal static Project Grown(int stitches, int part = 0)
    {
        var context = new EditContext(new Evaluator(new StationCache()));
        var project = BlankProject.Make("Bench", 240, 360).Value;
        var per = new Evaluator(new StationCache()).Evaluate(Added(project, 0, context)).Program.StitchCount;
        var count = Math.Max(1, stitches / per);
        for (var i = 0; i < count; i++)
        {
            project = Added(project, (part * count) + i, context);
        }
        return project;
    }

    private static Project Added(Project project, int i, EditContext context) =>
        new AddPiece
        {
            Shape = new ShieldShape(),
            Box = new ElementBox((i % 6 * 36) - 90, (i / 6 * 40) - 140, 34 + (i * 0.01), 36, i % 6 * 31),
            Method = Method.CutBeforehand,
        }
            .Apply(project, context)
            .Value;

    private static Project Resized(Project project, string id, double width, EditContext context) =>
        new PlaceElement { ElementId = id, Width = width }
            .Apply(project, context)
            .Value;
}
