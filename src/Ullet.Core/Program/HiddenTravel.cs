using Ullet.Core.Applique;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Stitches;

namespace Ullet.Core.Program;

/// <summary>How far the needle may travel between two edges of a step without a trim, because cloth or later stitching hides the
/// thread.</summary>
internal sealed class HiddenTravel
{
    /// <summary>No travel between edges is hidden: even the shortest is trimmed.</summary>
    internal const double None = -1;

    private readonly Dictionary<(string OwnerId, int Ordinal), CoverNumbers> _covers;

    /// <param name="steps">All steps.</param>
    internal HiddenTravel(IEnumerable<RunStep> steps) =>
        _covers = steps
            .OfType<StitchStep>()
            .Where(step => step.Stage.Cover is { Numbers.HidesEdge: true })
            .ToDictionary(step => (step.Key.OwnerId, step.Key.Ordinal), step => step.Stage.Cover!.Numbers);

    /// <summary>The longest way between two edges of a stage that need not be trimmed for its looks, mm.</summary>
    internal double Longest(Stage stage) =>
        stage.Id switch
        {
            StageId.Cover => None,
            // It lies on the cloth: the cover hides it from the line to its own inner side, on both edges.
            StageId.TackDown => _covers.TryGetValue((stage.Key.OwnerId, stage.Key.Ordinal), out var cover)
                ? 2 * Math.Max(0, cover.Inside - Math.Max(0, InsetOf(stage.Plan)))
                : None,
            StageId.Placement or StageId.CutGuide or StageId.Line or StageId.Basting => double.PositiveInfinity,
        };

    private static double InsetOf(StitchPlan plan) =>
        plan switch
        {
            RunPlan run => run.Inset,
            TackPlan tack => tack.Inset,
            _ => throw new ArgumentException($"{plan.GetType().Name} is no tack-down.", nameof(plan)),
        };
}
