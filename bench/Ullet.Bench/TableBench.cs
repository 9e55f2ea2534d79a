using System.Collections.Immutable;
using System.Text.Json;
using Ullet.Core.Applique;
using Ullet.Core.Cutting;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Fonts;
using Ullet.Server.Documents;
using Ullet.Server.Scenes;

namespace Ullet.Bench;

/// <summary>Laying two hundred shapes of three cloths out and putting what the cutting table shows into words, against computing
/// the shapes from their pieces.</summary>
internal static class TableBench
{
    private const int Shapes = 200;
    private const double Bound = 2;

    internal static IReadOnlyList<Ratio> Run()
    {
        var context = new EditContext(new Evaluator(new StationCache(), new FontShelf()));
        return
        [
            Line("packed", Made(context, SheetLayout.Packed, new CutMarks()), context),
            Line("in place", Made(context, SheetLayout.InPlace, new CutMarks()), context),
            Line("packed, with every mark", Made(context, SheetLayout.Packed, CutMarks.All), context),
        ];
    }

    private static Ratio Line(string name, Project project, EditContext context)
    {
        var evaluated = context.Evaluator.Evaluate(project);
        void Open(int i)
        {
            var sheets = SheetPlanner.Plan(project, PieceMarks.Marked(evaluated.Cuts, project.Cut));
            JsonSerializer.SerializeToUtf8Bytes(sheets.Select(SheetDtos.Of).ToList(), ProjectJson.Options);
        }
        void Compute(int i)
        {
            var evaluator = new Evaluator(new StationCache(), new FontShelf());
            var station = new CutShapeStation();
            foreach (var piece in project.Appliques())
            {
                var outline = evaluator.Bare(piece.Element).Parts[0];
                var flat = outline.Outline.Flatten();
                station.Compute(
                    new CutShapeInput(
                        AppliquePart.Of(piece, outline),
                        outline.Outline,
                        default,
                        (distance, _) => new Area(RegionOffset.By(flat, distance))
                    ),
                    CancellationToken.None
                );
            }
        }
        for (var i = 0; i < 10; i++)
        {
            Open(i);
            Compute(i);
        }
        return new Ratio(
            $"{evaluated.Cuts.Length} shapes of three cloths on the table, {name}",
            Measured.Median(15, Open),
            Bound * Measured.Median(15, Compute)
        );
    }

    private static Project Made(EditContext context, SheetLayout layout, CutMarks marks)
    {
        var project = BlankProject.Make("Bench", 240, 360).Value;
        string[] cloths = ["clay", "pond", "hay"];
        ImmutableArray<ShapeSource> forms =
        [
            new LeafShape(),
            new HeartShape(),
            new StarShape(),
            new ShieldShape(),
            new CrescentShape(),
        ];
        for (var i = 0; i < Shapes; i++)
        {
            Apply(
                new AddPiece
                {
                    Shape = forms[i % forms.Length],
                    Box = new ElementBox((i % 14 * 42) - 270, (i / 14 * 46) - 320, 36, 40, 0),
                    ClothId = cloths[i % 3],
                    Method = i % 2 == 0 ? Method.TrimInTheHoop : Method.CutBeforehand,
                }
            );
        }
        foreach (var cloth in cloths)
        {
            Apply(
                new SetSheet
                {
                    ClothId = cloth,
                    Layout = layout,
                    Marks = marks,
                }
            );
        }
        return project;

        void Apply(Edit edit) => project = edit.Apply(project, context).Value;
    }
}
