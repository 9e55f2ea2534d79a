using Ullet.Core.Applique;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Program;

/// <summary>How far the needle may travel between two edges of a step without a trim, because cloth or later stitching hides the
/// thread.</summary>
internal sealed class HiddenTravel
{
    /// <summary>No travel between edges is hidden: even the shortest is trimmed.</summary>
    internal const double None = -1;

    private readonly HashSet<(string OwnerId, int Ordinal)> _covered;

    /// <param name="steps">All steps.</param>
    internal HiddenTravel(IEnumerable<RunStep> steps) =>
        _covered = [
            .. steps
                .OfType<StitchStep>()
                .Where(step => step.Stage is { Role: StageRole.Cover, Cover.HidesEdge: true })
                .Select(step => (step.Key.OwnerId, step.Key.Ordinal)),
        ];

    /// <summary>The longest way between two edges of a stage that need not be trimmed for its looks, mm.</summary>
    internal double Longest(Stage stage) =>
        stage.Role switch
        {
            StageRole.Cover => None,
            // It lies on the cloth: the cover hides it from the line to its own inner side, on both edges.
            StageRole.TackDown => _covered.Contains((stage.Key.OwnerId, stage.Key.Ordinal))
                ? 2 * Math.Max(0, stage.Cover.Inside - Math.Max(0, stage.Run.Inset))
                : None,
            _ => double.PositiveInfinity,
        };
}
