using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Findings;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Files.Fonts;
using Ullet.Server.Documents;

namespace Ullet.Bench;

/// <summary>Planning a run sheet of some forty steps, against one full stitch computation of the same project.</summary>
internal static class PlanBench
{
    internal static IReadOnlyList<Ratio> Run()
    {
        var context = new EditContext(new Evaluator(new StationCache(), new FontShelf()));
        return
        [
            Checked("planning and checking a pouch of 40 steps, against one full stitch run", Pouch(context), context),
            Checked(
                "the same where its layers and seams are as they were",
                Pouch(context),
                context,
                keepsTurning: true
            ),
            Checked("planning and checking 13 pieces sewn together, against one full run", Pieces(context), context),
            Line("planning a pouch of 40 steps, against making all of its stitches", Pouch(context), context),
            Line("planning 13 pieces sewn together, against making all of their stitches", Pieces(context), context),
        ];
    }

    private static Ratio Line(string name, Project project, EditContext context)
    {
        var evaluated = context.Evaluator.Evaluate(project);
        var planned = Measured.Median(15, _ => Planner.Plan(project, evaluated.Work));
        var whole = Measured.Median(9, _ => new Evaluator(new StationCache(), new FontShelf()).Evaluate(project));
        // A whole evaluation plans twice: once as asked, once for the stops of the other order.
        return new Ratio(name, planned, whole - (2 * planned));
    }

    /// <summary>Planning, layers, turning and all checks, against the stitches of every step.</summary>
    private static Ratio Checked(string name, Project project, EditContext context, bool keepsTurning = false)
    {
        var evaluated = context.Evaluator.Evaluate(project);
        var kept = new StationCache();
        var judged = Measured.Median(
            15,
            _ =>
            {
                Planner.Plan(project, evaluated.Work);
                LayerStates.After(
                    evaluated.RunSheet.Steps.Select(step => step is HandStep hand ? hand.Work.Changes : [])
                );
                Turns.Of(evaluated.Hoopings[0], keepsTurning ? kept : new StationCache(), CancellationToken.None);
                Checks.Run(evaluated.CheckedOn);
            }
        );
        var sewn = Measured.Median(
            9,
            _ =>
                new Sewing(new StationCache(), project, CancellationToken.None).Of(
                    new HoopingSheet(project.Hooping, evaluated.RunSheet)
                )
        );
        // A pouch has few stitches and much to look at: how it is turned takes most of the time.
        return new Ratio(name, judged, sewn / 5, IsAim: true);
    }

    private static Project Pouch(EditContext context)
    {
        var project = Applied(
            BlankProject.Make("Bench", 240, 360).Value,
            new UsePattern { PatternId = "zip-pouch", FontId = FontShelf.UsualId },
            context
        );
        for (var i = 0; i < 3; i++)
        {
            project = Applied(project, Piece((i * 34) - 34, 30, Method.CutBeforehand), context);
        }
        return project;
    }

    private static Project Pieces(EditContext context)
    {
        var project = BlankProject.Make("Bench", 240, 360).Value;
        for (var i = 0; i < 13; i++)
        {
            project = Applied(project, Piece((i % 4 * 50) - 75, (i / 4 * 60) - 90, Method.CutBeforehand), context);
        }
        return Applied(project, new SetOrder { Order = StitchOrder.Together }, context);
    }

    private static AddPiece Piece(double x, double y, Method method) =>
        new()
        {
            Shape = new HeartShape(),
            Box = new ElementBox(x, y, 28, 28, 0),
            Method = method,
        };

    private static Project Applied(Project project, Edit edit, EditContext context) =>
        edit.Apply(project, context).Value;
}
