using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Decorative stitches and blanket stitch along lines and round outlines.</summary>
internal sealed class UnitLineStitcher : Stitcher<UnitLinePlan>
{
    private protected override StepStitches Sew(UnitLinePlan plan, Outline outline, CancellationToken cancellation)
    {
        var places = plan.MotifId is { } motif ? StitchUnit.Of(motif).Places : UnitLine.Blanket;
        var numbers = new UnitNumbers(
            plan.IsMirrored ? [.. places.Select(place => (place.Along, -place.Across))] : places,
            plan.Length,
            plan.Reach,
            EndsAcross: plan.MotifId is null
        );
        var runs = ImmutableArray.CreateBuilder<StitchRun>();
        var rings = outline.Flatten().SelectMany(region => region.Rings).Select(StartPoint.Choose);
        foreach (
            var line in rings
                .Select(ring => ring.Points.Add(ring.Points[0]))
                .Concat(outline.Lines.Select(line => line.Flatten()))
        )
        {
            cancellation.ThrowIfCancellationRequested();
            var points = UnitLine.Of(line, numbers);
            for (var pass = 1; pass < plan.Passes; pass++)
            {
                points = points.AddRange(UnitLine.Of(pass % 2 == 0 ? line : [.. line.Reverse()], numbers).Skip(1));
            }
            if (points.Length > 1)
            {
                runs.Add(new StitchRun(RunKind.Line, runs.Count, points));
            }
        }
        return new StepStitches(runs.ToImmutable(), []);
    }
}
