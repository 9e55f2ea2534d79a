using NetTopologySuite.Operation.Valid;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;
using Xunit.Sdk;

namespace Ullet.Core.Tests.Geometry;

public sealed class OutlineOverlayTests
{
    /// <summary>A thousand seeded pairs with what the overlays make of them, made once for all laws.</summary>
    private static readonly Lazy<Case[]> Cases = new(() =>
        Enumerable.Range(0, 1000).AsParallel().AsOrdered().Select(Case.Of).ToArray()
    );

    [Fact]
    public void Overlay_OnSeededCases_DividesTheArea() =>
        ForEach(pair =>
        {
            var (whole, sum) = (Plane.Area(pair.A), Plane.Area(pair.Without) + Plane.Area(pair.Inside));
            Assert.Equal(whole, sum, whole * 0.001);
            var both = Plane.Area(pair.Both);
            Assert.Equal(both, Plane.Area(pair.Without) + Plane.Area(pair.B), both * 0.001);
        });

    [Fact]
    public void Overlay_OnSeededCases_CrossesNoEdgeAndKeepsHolesInside() =>
        ForEach(pair =>
        {
            foreach (var result in pair.Results)
            {
                // Valid as it stands: no ring crosses itself or another, every hole lies inside its shell.
                var wrong = new IsValidOp(Plane.OnGrid(result)).ValidationError;
                Assert.True(wrong is null, wrong?.ToString());
            }
        });

    [Fact]
    public void Overlay_OnSeededCases_KeepsCurvesAndCountsNodes() =>
        ForEach(pair =>
        {
            var (a, b) = (Plane.EdgeOf(pair.A), Plane.EdgeOf(pair.B));
            var distance = Plane.DistanceFrom(a.Union(b));
            var most = Plane.Nodes(pair.A) + Plane.Nodes(pair.B) + (2 * a.Intersection(b).Coordinates.Length);
            foreach (var result in pair.Results)
            {
                Assert.All(Plane.Along(result), place => Assert.InRange(distance(place), 0, 0.02));
                Assert.InRange(Plane.Nodes(result), 0, most);
            }
        });

    [Fact]
    public void Overlay_Again_GivesTheVerySame() =>
        ForEach(pair =>
        {
            Assert.Same(pair.Without, OutlineOverlay.Difference(pair.Without, pair.B));
            Assert.Same(pair.Both, OutlineOverlay.Union(pair.Both, pair.B));
            if (!pair.Inside.IsEmpty)
            {
                Assert.Same(pair.Inside, OutlineOverlay.Intersection(pair.Inside, pair.B));
            }
        });

    [Fact]
    public void Difference_OfWhatStandsApart_IsTheVerySame()
    {
        var a = new Outline([new OutlinePart(ShapeContours.Make(new HeartShape(), 20, 20), [])]);
        Assert.Same(a, OutlineOverlay.Difference(a, a.Transform(Affine.Translate(50, 0))));
    }

    [Fact]
    public void Difference_OfAnOpenLine_LeavesItsStretchesOutside_OpenAndCurved()
    {
        var line = new OpenPath([Curve.Cubic(new(-30, 0), new(-10, -20), new(10, 20), new(30, 0))]);
        var disc = new Outline([new OutlinePart(ShapeContours.Make(new EllipseShape(), 20, 20), [])]);
        var cut = OutlineOverlay.Difference(new Outline([]) { Lines = [line] }, disc);
        Assert.Equal(2, cut.Lines.Length);
        Assert.All(cut.Lines, piece => Assert.False(Assert.Single(piece.Curves).IsLine));
        Assert.All(
            cut.Lines.SelectMany(piece => new[] { piece.Curves[0].Start, piece.Curves[0].End })
                .Where(p => p.Length < 29),
            end => Assert.Equal(10, end.Length, 0.01)
        );
    }

    private static void ForEach(Action<Case> judge)
    {
        var wrong = Cases
            .Value.AsParallel()
            .Select(pair =>
            {
                try
                {
                    judge(pair);
                    return null;
                }
                catch (XunitException failed)
                {
                    return $"Seed {pair.Seed}: {failed.Message}";
                }
            })
            .OfType<string>()
            .ToList();
        Assert.True(wrong.Count == 0, string.Join('\n', wrong));
    }

    private sealed record Case(int Seed, Outline A, Outline B, Outline Without, Outline Inside, Outline Both)
    {
        internal IEnumerable<Outline> Results => [Without, Inside, Both];

        internal static Case Of(int seed)
        {
            var (a, b) = RandomOutlines.Pair(seed);
            return new Case(
                seed,
                a,
                b,
                OutlineOverlay.Difference(a, b),
                OutlineOverlay.Intersection(a, b),
                OutlineOverlay.Union(a, b)
            );
        }
    }
}
