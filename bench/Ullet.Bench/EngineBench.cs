using System.IO.Compression;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.StitchLists;
using Ullet.Server.Documents;

namespace Ullet.Bench;

/// <summary>The stitch engine against gzip of its own text, its growth, and the cost of changing one piece.</summary>
internal static class EngineBench
{
    private const int Stitches = 60_000;

    internal static IEnumerable<Ratio> Run()
    {
        var large = Grown(Stitches);
        var text = StitchListExport.Make(new Evaluator(new StationCache()).Evaluate(large).Program);
        var gzip = Measured.Median(5, _ => Gzip(text));
        var fresh = Measured.Median(5, _ => new Evaluator(new StationCache()).Evaluate(large));
        yield return new Ratio(
            $"all stitches of {Stitches:N0}, outlines included, against gzip",
            fresh,
            1.5 * gzip,
            IsAim: true
        );

        var small = Grown(Stitches / 10);
        var tenth = Measured.Median(5, _ => new Evaluator(new StationCache()).Evaluate(small));
        yield return new Ratio("ten times the pieces against twelve times the time", fresh, 12 * tenth);

        var context = new EditContext(new Evaluator(new StationCache(20_000)));
        context.Evaluator.Evaluate(large);
        var one = large.Elements[0].Id;
        var changed = Measured.Median(
            20,
            i => context.Evaluator.Evaluate(Resized(large, one, 40 + (i * 0.001), context))
        );
        yield return new Ratio("one piece changed among all, against a fifth of all", changed, fresh / 5);
    }

    /// <summary>A project of shields of about as many needle points as asked.</summary>
    internal static Project Grown(int stitches)
    {
        var context = new EditContext(new Evaluator(new StationCache()));
        var project = BlankProject.Make("Bench", 240, 360).Value;
        var per = new Evaluator(new StationCache()).Evaluate(Added(project, 0, context)).Program.StitchCount;
        for (var i = 0; i < Math.Max(1, stitches / per); i++)
        {
            project = Added(project, i, context);
        }
        return project;
    }

    private static Project Added(Project project, int i, EditContext context) =>
        new AddPiece
        {
            Shape = new ShieldShape(),
            Box = new ElementBox((i % 6 * 36) - 90, (i / 6 % 8 * 40) - 140, 34 + (i * 0.01), 36, i * 3 % 360),
            Method = Method.CutBeforehand,
        }
            .Apply(project, context)
            .Value;

    private static Project Resized(Project project, string id, double width, EditContext context) =>
        new PlaceElement { ElementId = id, Width = width }
            .Apply(project, context)
            .Value;

    private static void Gzip(byte[] text)
    {
        using var zip = new GZipStream(Stream.Null, CompressionLevel.Optimal);
        zip.Write(text);
    }
}
