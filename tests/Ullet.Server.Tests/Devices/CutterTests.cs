using System.Collections.Immutable;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Files.CutFiles;
using Ullet.Server.Devices;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests.Devices;

/// <summary>The stand-in cutter: where it cuts, how deep, and what comes free.</summary>
public sealed class CutterTests(TestServer server) : IClassFixture<TestServer>
{
    private const string Page =
        "<svg width='60mm' height='60mm' viewBox='0 0 60 60' data-cloth='beet cotton' data-mirrored='cloth face down'>"
        + "<g id='beet-cotton-cut'><rect id='square' x='10' y='10' width='20' height='30'/></g>"
        + "<g id='beet-cotton-draw'><path id='mark' d='M15 15 L25 15'/></g></svg>";

    [Fact]
    public async Task Offset_MovesTheFrameOnTheMat_AndOffTheMatIsSaid()
    {
        var run = await Run("x=100&y=40&matWidth=152&matHeight=305");
        Assert.Equal((110, 50), ((double)run["frame"]!["x"]!, (double)run["frame"]!["y"]!));
        Assert.True((bool)run["isOnMat"]!);
        var off = await Run("x=130&matWidth=152&matHeight=305");
        Assert.False((bool)off["isOnMat"]!);
        Assert.Contains("reaches past the mat", (string)off["warnings"]![0]!, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Mirror_OfAFileThatIsMirroredAlready_IsSaid()
    {
        Assert.Empty((await Run(""))["warnings"]!.AsArray());
        Assert.Equal("cloth face down", (string)(await Run(""))["mirrored"]!);
        var run = await Run("mirror=true");
        Assert.Contains("mirrored already (cloth face down)", (string)run["warnings"]![0]!, StringComparison.Ordinal);
        Assert.Equal(30, (double)run["frame"]!["x"]!, 1e-6);
    }

    [Fact]
    public async Task DrawnLines_GoFirstAndFreeNothing()
    {
        var run = await Run("");
        Assert.Equal(["draw", "cut"], run["lines"]!.AsArray().Select(line => (string)line!["role"]!));
        var freed = Assert.Single(run["freed"]!.AsArray())!;
        Assert.Equal(("square", 20, 30), ((string)freed["name"]!, (double)freed["width"]!, (double)freed["height"]!));
        Assert.Equal((double)run["cutLength"]!, (double)freed["after"]!, 1e-6);
    }

    [Fact]
    public async Task WrongDepth_HoldsTheShape_UntilItIsCutAgainInPlace()
    {
        var shallow = await Run("material=felt&cloth=beet cotton&depth=0.8&pressure=0.8");
        Assert.False((bool)shallow["isThrough"]!);
        Assert.Empty(shallow["freed"]!.AsArray());
        Assert.Single(shallow["held"]!.AsArray());
        Assert.StartsWith(
            "Not cut through: the blade reached 0.8 mm",
            (string)shallow["words"]!,
            StringComparison.Ordinal
        );
        var reached = (double)shallow["reached"]!;
        var again = await Run(
            FormattableString.Invariant($"material=felt&cloth=beet cotton&depth=2&pressure=0.8&already={reached}")
        );
        Assert.True((bool)again["isThrough"]!);
        Assert.Single(again["freed"]!.AsArray());
    }

    [Theory]
    [InlineData("cloth=oat linen", "cut-file-other-cloth")]
    [InlineData("depth=40", "number-out-of-range")]
    [InlineData("matWidth=3", "number-out-of-range")]
    [InlineData("material=cheese", "material-unknown")]
    [InlineData("passes=banana", "request-broken")]
    public async Task Settings_ThatCantBe_AreRefused(string settings, string code)
    {
        using var content = new ByteArrayContent(Encoding.UTF8.GetBytes(Page));
        using var answer = await server.Client.PostAsync($"/api/devices/cutter/dry-run?{settings}", content);
        await BadInputTests.AssertProblem(answer, HttpStatusCode.BadRequest, code);
    }

    [Theory]
    [InlineData("%!PS-Adobe-3.0 EPSF-3.0\n", "cut-file-other-format")]
    [InlineData("%PDF-1.4\n", "cut-file-other-format")]
    [InlineData("0\nSECTION\n2\nENTITIES\n0\nLINE\n", "cut-file-truncated")]
    public async Task File_OfAnotherKind_IsRefused(string file, string code)
    {
        using var content = new ByteArrayContent(Encoding.UTF8.GetBytes(file));
        using var answer = await server.Client.PostAsync("/api/devices/cutter/dry-run", content);
        await BadInputTests.AssertProblem(answer, HttpStatusCode.BadRequest, code);
    }

    [Fact]
    public async Task Dxf_AndSvg_OfOneSheet_FreeTheSameShapes()
    {
        var id = (string)
            (await server.Get("/api/projects")).AsArray().First(item => (string)item!["title"]! == "Plot 14 pennant")![
                "id"
            ]!;
        var runs = new List<JsonNode>();
        foreach (var format in new[] { "svg", "dxf" })
        {
            var file = await server.Client.GetByteArrayAsync($"/api/projects/{id}/cut.{format}?cloth=beet&trial=true");
            runs.Add(await Run("cloth=beetroot cotton", file));
        }
        string[] Names(JsonNode run) => [.. run["freed"]!.AsArray().Select(shape => (string)shape!["name"]!).Order()];
        Assert.Equal(Names(runs[0]), Names(runs[1]));
        foreach (var name in Names(runs[0]))
        {
            double Of(JsonNode run, string side) =>
                (double)run["freed"]!.AsArray().First(shape => (string)shape!["name"]! == name)![side]!;
            Assert.Equal(Of(runs[0], "width"), Of(runs[1], "width"), 0.05);
            Assert.Equal(Of(runs[0], "height"), Of(runs[1], "height"), 0.05);
        }
    }

    [Theory]
    [InlineData("WovenCotton", 0.7, 0.45, 1, true, false)]
    [InlineData("WovenCotton", 0.3, 0.45, 1, false, false)]
    [InlineData("WovenCotton", 3.0, 1.0, 2, true, true)]
    [InlineData("Felt", 2.0, 0.8, 1, true, false)]
    [InlineData("Felt", 2.0, 0.2, 1, false, false)]
    [InlineData("Vinyl", 1.2, 0.6, 2, true, false)]
    [InlineData("Denim", 0.9, 0.6, 2, true, false)]
    [InlineData("film", 0.3, 0.3, 1, true, false)]
    public async Task TestCut_JudgesTheDepth(
        string material,
        double depth,
        double pressure,
        int passes,
        bool lifts,
        bool marks
    )
    {
        var settings = FormattableString.Invariant(
            $"material={material}&cloth=x&depth={depth}&pressure={pressure}&passes={passes}"
        );
        var test = await Test(settings);
        Assert.Equal((lifts, marks), ((bool)test["liftsOut"]!, (bool)test["marksMat"]!));
        Assert.Equal(lifts, test["through"]!.AsArray().All(through => (bool)through!));
        Assert.Equal(lifts && !marks, test["suggestedDepth"] is null);
    }

    [Fact]
    public async Task TestCut_WithAWornBlade_FailsUntilItsSuggestionIsTaken()
    {
        const string Settings = "material=Linen&cloth=oat&pressure=0.6";
        Assert.True((bool)(await Test(Settings + "&depth=0.7"))["liftsOut"]!);
        var worn = await Test(Settings + "&depth=0.7&metres=30");
        Assert.False((bool)worn["liftsOut"]!);
        Assert.Contains("has worn", (string)worn["words"]!, StringComparison.Ordinal);
        var depth = (double)worn["suggestedDepth"]!;
        Assert.True(
            (bool)(await Test(FormattableString.Invariant($"{Settings}&depth={depth}&metres=30")))["liftsOut"]!
        );
    }

    /// <summary>Deeper, harder, more often: never less than before; a worn blade never more.</summary>
    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    public void Blade_NeverReachesLess_WhenItIsSetDeeper(int seed)
    {
        var random = new Random(seed);
        for (var i = 0; i < 300; i++)
        {
            var blade = new BladeModel(
                random.Next(12) is < 11 and var kind ? (ClothKind)kind : null,
                $"cloth {random.Next(50)}",
                0.1 + (random.NextDouble() * 3),
                0.05 + (random.NextDouble() * 0.9),
                1 + random.Next(3),
                random.NextDouble() * 60,
                random.NextDouble()
            );
            Assert.True((blade with { Depth = blade.Depth + 0.3 }).Reached >= blade.Reached);
            Assert.True((blade with { Passes = blade.Passes + 1 }).Reached >= blade.Reached);
            Assert.True((blade with { Metres = blade.Metres + 20 }).Reached <= blade.Reached);
            Assert.True(blade.Reached >= blade.Already);
            Assert.Equal(blade.IsThrough, blade.Round.All(through => through) && blade.Reached >= blade.Thickest);
            var advised = blade with { Depth = blade.Suggested, Passes = 6, Pressure = 1 };
            Assert.True(advised.IsThrough && !(advised with { Already = 0 }).MarksMat);
        }
    }

    [Fact]
    public void Order_CutsInnerLinesBeforeOuterOnes_AtEveryDepth()
    {
        var random = new Random(7);
        var rings = Enumerable.Range(1, 8).Select(i => 10.0 * i).OrderBy(_ => random.Next()).ToList();
        var file = new CutFile(
            200,
            200,
            [
                .. rings.Select(size =>
                    Square(new Box(100 - size, 100 - size, 100 + size, 100 + size), size.ToString("0", null))
                ),
            ]
        );
        var run = StandInCutter.Run(file, new CutterSetup());
        Assert.Equal(rings.Order().Select(size => size.ToString("0", null)), run.Lines.Select(line => line.Name));
        Assert.Equal([true, false, true, false, true, false, true, false], run.Freed.Select(shape => shape.IsWaste));
    }

    /// <summary>The order held against a plain search of it: all that is left, every time.</summary>
    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public void Order_OfAnyFile_IsThatOfAPlainSearch(int seed)
    {
        var random = new Random(seed);
        var boxes = new List<Box>();
        while (boxes.Count < 60)
        {
            var (x, y, side) = (random.NextDouble() * 280, random.NextDouble() * 280, 2 + (random.NextDouble() * 40));
            var box = new Box(x, y, x + side, y + side);
            // Nested or apart, never crossing.
            if (boxes.TrueForAll(other => other.Contains(box) || box.Contains(other) || !other.Overlaps(box)))
            {
                boxes.Add(box);
            }
        }
        var lines = boxes.Select((box, i) => Square(box, $"{i}")).ToImmutableArray();
        var run = StandInCutter.Run(new CutFile(330, 330, lines), new CutterSetup());

        var frame = boxes.Aggregate(Box.Empty, (all, box) => all.Union(box));
        var (at, left, plain) = (
            new Point(frame.MinX, frame.MinY),
            Enumerable.Range(0, 60).ToList(),
            new List<string>()
        );
        while (left.Count > 0)
        {
            var next = left.Where(i => !left.Exists(j => j != i && boxes[i].Contains(boxes[j])))
                .MinBy(i => new Point(boxes[i].MinX, boxes[i].MinY).DistanceTo(at));
            at = new Point(boxes[next].MinX, boxes[next].MinY);
            left.Remove(next);
            plain.Add($"{next}");
        }
        Assert.Equal(plain, run.Lines.Select(line => line.Name));
    }

    [Fact]
    public async Task File_OfTooManyLines_IsRefused()
    {
        var svg = new StringBuilder("<svg width='9mm' height='9mm' viewBox='0 0 9 9'><path d='");
        svg.Insert(svg.Length, "M0 0L1 1", StandInCutter.MostLines + 1);
        using var content = new ByteArrayContent(Encoding.UTF8.GetBytes(svg.Append("'/></svg>").ToString()));
        using var answer = await server.Client.PostAsync("/api/devices/cutter/dry-run", content);
        await BadInputTests.AssertProblem(answer, HttpStatusCode.BadRequest, "cut-file-too-many-lines");
    }

    private static CutLine Square(Box box, string name) =>
        new(
            "c-cut",
            name,
            Contour.Polygon([
                new(box.MinX, box.MinY),
                new(box.MaxX, box.MinY),
                new(box.MaxX, box.MaxY),
                new(box.MinX, box.MaxY),
            ]),
            true
        );

    private Task<JsonNode> Run(string settings) => Run(settings, Encoding.UTF8.GetBytes(Page));

    private async Task<JsonNode> Run(string settings, byte[] file)
    {
        using var content = new ByteArrayContent(file);
        using var answer = await server.Client.PostAsync($"/api/devices/cutter/dry-run?{settings}", content);
        return await Read(answer);
    }

    private async Task<JsonNode> Test(string settings)
    {
        using var answer = await server.Client.PostAsync($"/api/devices/cutter/test-cut?{settings}", null);
        return await Read(answer);
    }

    private static async Task<JsonNode> Read(HttpResponseMessage answer)
    {
        var text = await answer.Content.ReadAsStringAsync();
        Assert.True(answer.IsSuccessStatusCode, text);
        return JsonNode.Parse(text)!;
    }
}
