using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Findings;

/// <summary>Is something stitched through layers that lie right sides together, inside of the seam that closes them? They could not be
/// turned apart there: a hole for a ring or a snap, a name.</summary>
internal sealed class FaceToFaceCheck : ICheck
{
    /// <summary>What lies within this of the closing seam goes with it, mm.</summary>
    private const double AtSeam = 8;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        var steps = input.RunSheet.Steps;
        if (input.Turning is null)
        {
            yield break;
        }
        var closed = Enumerable
            .Range(0, steps.Length)
            .Where(i =>
                steps[i] is StitchStep step
                && !StageTable.Of(step.Stage.Id).IsTakenOut
                && FaceToFace(input.Layers[i]) is not null
            )
            .Select(i => (Step: (StitchStep)steps[i], At: i, Points: input.PointsOf(steps[i].Key).ToImmutableArray()))
            .Where(sewn => !sewn.Points.IsEmpty)
            .ToList();
        if (closed.Count < 2)
        {
            yield break;
        }
        var seam = closed.MaxBy(sewn => Area(Box.Of(sewn.Points)));
        var outline = seam.Step.Stage.Outline;
        var inside = new AreaIndex(
            outline.Lines.MaxBy(line => line.Bounds().Width) is { } line
                ? [new Region(Ring.Of(line.Flatten()), [])]
                : outline.Flatten()
        );
        foreach (var (step, at, points) in closed.Where(sewn => sewn.Step.Key != seam.Step.Key))
        {
            Budget.Spend();
            var (lower, upper) = FaceToFace(input.Layers[at])!.Value;
            var (under, over) = (new AreaIndex(lower.Area), new AreaIndex(upper.Area));
            var wrong = points
                .Where(place => inside.Holds(place) && under.Holds(place) && over.Holds(place))
                .Select(place => (Point?)place)
                .FirstOrDefault(place => IsFar(place!.Value, seam.Points));
            if (wrong is { } hit)
            {
                yield return new Finding(
                    "sewn-face-to-face",
                    FindingLevel.Stop,
                    input.Project.Find(step.OwnerId)?.Id,
                    hit,
                    $"\"{StepNames.Of(step)}\" goes through {lower.Name.ToLowerInvariant()} and {upper.Name.ToLowerInvariant()}, which lie right sides "
                        + "together: they can't be turned apart there. Sew it before the second is laid, or take a loop in the seam."
                );
            }
        }
    }

    private static bool IsFar(Point place, ImmutableArray<Point> seam)
    {
        Budget.Spend(1 + (seam.Length / 8));
        return seam.Min(point => point.DistanceTo(place)) > AtSeam;
    }

    private static double Area(Box box) => box.Width * box.Height;

    /// <summary>The lowest of the layers that lie right sides together with one above; null for none.</summary>
    private static (PresentLayer Lower, PresentLayer Upper)? FaceToFace(ImmutableArray<PresentLayer> layers)
    {
        var outer = layers.Where(layer => layer.Role == LayerRole.Outer).ToList();
        for (var i = 1; i < outer.Count; i++)
        {
            if (outer[i - 1].FaceUp && !outer[i].FaceUp && !outer[i].IsBehind)
            {
                return (outer[i - 1], outer[i]);
            }
        }
        return null;
    }
}
