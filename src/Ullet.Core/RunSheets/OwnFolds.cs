using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>Folds of the user's own: a whole layer is turned over a straight seam.</summary>
internal static class OwnFolds
{
    /// <summary>A seam that bends by more than this is none to fold along, mm.</summary>
    private const double Straight = 2;

    /// <summary>What a fold changes; null where there is no such layer, or no straight line to fold it along.</summary>
    /// <param name="hand">The step.</param>
    /// <param name="laid">How the layer was laid; null where nothing of the user's own or of a pattern lays it.</param>
    /// <param name="outlineOf">The outline of an element; null for one that is not sewn.</param>
    internal static LayerFolded? Of(UserHandStep hand, LayerLaid? laid, Func<string, Outline?> outlineOf)
    {
        if (
            laid is null
            || hand.AlignedTo is not { } line
            || outlineOf(line.OwnerId)?.Bounds() is not { IsEmpty: false } box
        )
        {
            return null;
        }
        if (Math.Min(box.Width, box.Height) > Straight)
        {
            return null;
        }
        var middle = box.Centre;
        var isLevel = box.Width >= box.Height;
        Point Over(Point at) =>
            isLevel ? new Point(at.X, (2 * middle.Y) - at.Y) : new Point((2 * middle.X) - at.X, at.Y);
        Ring Turned(Ring ring) => Ring.Of([.. ring.Points.Reverse().Select(Over)]);
        return new LayerFolded(
            laid.LayerId,
            !laid.FaceUp,
            [.. laid.Area.Select(region => new Region(Turned(region.Shell), [.. region.Holes.Select(Turned)]))]
        );
    }

    /// <summary>How a layer is laid by a pattern; null for one that it does not lay.</summary>
    internal static LayerLaid? LaidByPattern(Project project, string layerId) =>
        PatternShelf
            .PlanOf(project)
            ?.Acts.OfType<HandsAct>()
            .SelectMany(act => act.Work.Changes)
            .OfType<LayerLaid>()
            .LastOrDefault(laid => laid.LayerId == layerId);
}
