using System.Globalization;
using System.Text;
using Ullet.Core.Geometry;
using Ullet.Core.Opened;
using Ullet.Core.Projects;
using Ullet.Files.Designs;

namespace Ullet.Files.Tests.Designs;

/// <summary>What a line of G-code means as a whole: in which order its letters hold, and from where its places count.</summary>
public sealed class NeedleLineTests
{
    private static readonly string[] Start = ["G21", "G90", "G0 X0 Y0", "M3"];

    [Fact]
    public void ALiftInTheLineOfAMove_HoldsOnceItWasSewn()
    {
        var together = Sewn([.. Start, "G1 X5 Y0", "G1 X9 Y0 M5", "G0 X20 Y0", "M3", "G1 X24 Y0"]);
        var apart = Sewn([.. Start, "G1 X5 Y0", "G1 X9 Y0", "M5", "G0 X20 Y0", "M3", "G1 X24 Y0"]);
        Assert.Equal(apart, together);
        Assert.Contains(new Point(9, 0), together);
    }

    [Fact]
    public void AStopInTheLineOfAMove_StandsAfterIt()
    {
        var design = Read([.. Start, "G1 X5 Y0", "M0 G1 X9 Y0", "T2", "G1 X9 Y5"]);
        Assert.Equal(2, design.Blocks.Length);
        Assert.True(design.Blocks[0].StopAfter);
        Assert.Equal(new Point(9, 0), design.Blocks[0].Points.Last(point => point.Move == OpenedMove.Stitch).At);
    }

    [Fact]
    public void AToolAndAnUpAndDown_InTheLineOfAMove_HoldBeforeIt()
    {
        var design = Read([.. Start, "G1 X5 Y0", "M5", "G0 X0 Y9", "G1 X6 Y9 M3 T3"]);
        Assert.Equal([2, 2], design.Blocks.Select(block => block.StitchCount));
        Assert.Equal(["thread 1", "thread 3"], design.Threads.Select(thread => thread.Name));
    }

    [Theory]
    [InlineData("G4 X2.5")]
    [InlineData("G4 P500")]
    [InlineData("G4 X1 Y3")]
    public void ADwell_IsAStop_ItsNumbersAreTimes(string dwell)
    {
        var design = Read([.. Start, "G1 X5 Y0", dwell, "G1 X10 Y0"]);
        Assert.True(design.Blocks[0].StopAfter);
        Assert.Equal(
            [new Point(0, 0), new Point(5, 0), new Point(5, 0), new Point(10, 0)],
            design.Blocks.SelectMany(Stitches)
        );
    }

    [Fact]
    public void AnotherOrigin_MovesWhatComesAfterIt_NotTheNeedle()
    {
        var moved = Sewn([.. Start, "G1 X5 Y0", "G92 X0 Y0", "G1 X5 Y0", "G1 X5 Y5", "G92.1", "G1 X0 Y0"]);
        var plain = Sewn([.. Start, "G1 X5 Y0", "G1 X10 Y0", "G1 X10 Y5", "G1 X0 Y0"]);
        Assert.Equal(plain, moved);
    }

    [Theory]
    [InlineData("G28 X0 Y0")]
    [InlineData("G30 X50 Y0")]
    public void AWayHome_IsInTheAir(string home)
    {
        var design = Read([.. Start, "G1 X5 Y0", home]);
        Assert.Equal([new Point(0, 0), new Point(5, 0)], Stitches(design.Blocks.Single()));
    }

    [Fact]
    public void AnOriginThatIsSetElsewhere_IsLeftAsideAndTold()
    {
        var design = Read([.. Start, "G1 X5 Y0", "G10 L2 P1 X90 Y90", "G1 X9 Y0"]);
        Assert.Equal([new Point(0, 0), new Point(5, 0), new Point(9, 0)], Stitches(design.Blocks.Single()));
        Assert.Equal("Line 6: G10 sets another origin and is left aside.", Assert.Single(design.LeftOut));
    }

    [Fact]
    public void AnOriginInInches_AndOneOfOneAxisOnly_AreTaken()
    {
        var inches = Sewn(["G20", "G90", "G0 X0 Y0", "M3", "G1 X1 Y1", "G92 X0", "G1 X1 Y2", "G91", "G1 X1 Y0"]);
        AssertNear([new Point(0, 0), new Point(25.4, -25.4), new Point(50.8, -50.8), new Point(76.2, -50.8)], inches);
    }

    [Theory]
    [InlineData("M0")]
    [InlineData("M1")]
    [InlineData("G4 P1")]
    public void AStopBeforeTheFirstStitch_OrAfterTheLast_StopsNothing(string stop)
    {
        var design = Read([stop, .. Start, stop, "G1 X5 Y0", "G1 X9 Y0", "M5", stop, "M30"]);
        Assert.False(Assert.Single(design.Blocks).StopAfter);
        Assert.Equal(3, design.Blocks[0].StitchCount);
    }

    [Theory]
    [InlineData("A12")]
    [InlineData("B-1")]
    [InlineData("K0.5")]
    public void AnAxisThatANeedleHasNot_IsRefusedOnceItMoves(string axis)
    {
        var text = string.Join('\n', [.. Start, "G1 X5 Y0 A0 B0 K0", $"G1 X9 Y0 {axis}"]);
        var read = StitchDesignFiles.Read(Encoding.UTF8.GetBytes(text), "path", new OpenedReading());
        Assert.Equal("line 6", read.Refusal!.Place);
    }

    [Fact]
    public void NumbersOfLinesFeedsAndRemarks_ChangeNothing()
    {
        string[] bare = [.. Start, "G1 X5 Y0", "X9 Y3", "Y7"];
        var said = bare.Select(
            (line, i) => $"n{(i + 1) * 10} {line.ToLowerInvariant()} f1200 s90 a0 k0 (by (hand) ; and so on"
        );
        Assert.Equal(Sewn(bare), Sewn(["%", .. said, "%"]));
    }

    [Fact]
    public void ACentre_MayBeSaidAsAPlace()
    {
        var offsets = Sewn([.. Start, "G1 X10 Y4", "G3 X0 Y14 I-10 J0"]);
        var places = Sewn([.. Start, "G90.1", "G1 X10 Y4", "G3 X0 Y14 I0 J4"]);
        Assert.Equal(offsets, places);
        var back = Sewn([.. Start, "G90.1", "G91.1", "G1 X10 Y4", "G3 X0 Y14 I-10 J0"]);
        Assert.Equal(offsets, back);
    }

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(4)]
    public void ArcsByCentreByRadiusAndByRelativePlaces_AreTheSameArcs_OnTheirCircle(int seed)
    {
        var random = new Random(seed);
        for (var round = 0; round < 25; round++)
        {
            var centre = new Point(random.Next(-40, 40), random.Next(-40, 40));
            var radius = 2 + (random.NextDouble() * 30);
            var (from, sweep) = (random.NextDouble() * 6.28, 0.3 + (random.NextDouble() * 5.4));
            var isClockwise = random.Next(2) == 0;
            var to = from + (isClockwise ? -sweep : sweep);
            var (a, b) = (On(centre, radius, from), On(centre, radius, to));
            var way = isClockwise ? "G2" : "G3";
            var begin = $"G1 X{N(a.X)} Y{N(a.Y)}";
            var end = $"X{N(b.X)} Y{N(b.Y)}";
            var byCentre = Sewn([.. Start, begin, $"{way} {end} I{N(centre.X - a.X)} J{N(centre.Y - a.Y)}"]);
            var byRadius = Sewn([.. Start, begin, $"{way} {end} R{N(sweep > Math.PI ? -radius : radius)}"]);
            var relative = Sewn([
                .. Start,
                begin,
                "G91",
                $"{way} X{N(b.X - a.X)} Y{N(b.Y - a.Y)} I{N(centre.X - a.X)} J{N(centre.Y - a.Y)}",
            ]);
            var arc = byCentre.Skip(1).ToList();
            // The needle's y grows downwards.
            var middle = new Point(centre.X, -centre.Y);
            Assert.All(arc.Skip(1), at => Assert.Equal(radius, at.DistanceTo(middle), 0.02));
            Assert.All(arc.Skip(1).Zip(arc), pair => Assert.InRange(pair.First.DistanceTo(pair.Second), 0, 1.52));
            var length = arc.Skip(1).Zip(arc, (next, last) => next.DistanceTo(last)).Sum();
            Assert.InRange(length, (sweep * radius * 0.993) - 0.05, (sweep * radius) + 0.05);
            AssertNear(byCentre, byRadius);
            AssertNear(byCentre, relative);
        }
    }

    [Fact]
    public void TheSameFileInInches_IsTheSameDesign()
    {
        var mm = Sewn(["G21", "G90", "G0 X0 Y0", "M3", "G1 X25.4 Y0", "G2 X25.4 Y50.8 R25.4", "G91", "G1 X-12.7 Y0"]);
        var inches = Sewn(["G20", "G90", "G0 X0 Y0", "M3", "G1 X1 Y0", "G2 X1 Y2 R1", "G91", "G1 X-.5 Y0"]);
        AssertNear(mm, inches);
    }

    [Fact]
    public void AStopBetweenBlocks_IsKeptWhereTheNeedleWentOnAlready()
    {
        var table =
            "step,block,command,x,y,thread\n1,1,stitch,0,0,1\n1,1,stitch,3,0,1\n1,2,jump,9,0,1\n,,stop,,,\n1,2,stitch,9,0,1\n1,2,stitch,9,3,1\n";
        var design = StitchDesignFiles.Read(Encoding.UTF8.GetBytes(table), "x", new OpenedReading()).Value;
        Assert.Equal([true, false], design.Blocks.Select(block => block.StopAfter));
        Assert.Equal(OpenedMove.Jump, design.Blocks[1].Points[0].Move);
    }

    private static void AssertNear(List<Point> meant, List<Point> read)
    {
        Assert.Equal(meant.Count, read.Count);
        Assert.All(meant.Zip(read), pair => Assert.InRange(pair.First.DistanceTo(pair.Second), 0, 0.021));
    }

    private static Point On(Point centre, double radius, double angle) =>
        centre + (new Point(Math.Cos(angle), Math.Sin(angle)) * radius);

    private static string N(double number) => number.ToString("0.######", CultureInfo.InvariantCulture);

    private static List<Point> Sewn(IEnumerable<string> lines) => [.. Read(lines).Blocks.SelectMany(Stitches)];

    private static IEnumerable<Point> Stitches(DesignBlock block) =>
        block.Points.Where(point => point.Move == OpenedMove.Stitch).Select(point => point.At);

    private static StitchDesign Read(IEnumerable<string> lines)
    {
        var text = string.Join('\n', lines);
        var read = StitchDesignFiles.Read(Encoding.UTF8.GetBytes(text), "path", new OpenedReading());
        Assert.True(read.IsOk, $"{read.Refusal?.Words}\n{text}");
        return read.Value;
    }
}
