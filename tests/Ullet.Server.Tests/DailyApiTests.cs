using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

/// <summary>Units, hoops and cutters that stay from project to project; mends; what many elements take at once.</summary>
public sealed class DailyApiTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task TheUnit_IsNoStepOfUndo_AndEverySentenceFollowsIt()
    {
        var (id, head) = await server.Blank("Inches");
        head = await server.Edit(
            id,
            head,
            new
            {
                edit = "addPiece",
                shape = new { form = "rectangle" },
                box = new
                {
                    x = 0,
                    y = 0,
                    width = 8,
                    height = 6,
                    rotation = 0,
                },
            }
        );
        var shown = await server.Edit(id, head, new { edit = "setUnit", unit = "inch" });
        Assert.Equal(head, shown);
        var scene = await server.Get($"/api/projects/{id}/scene");
        Assert.Equal("inch", (string)scene["unit"]!);
        Assert.Contains("0.31 × 0.24 in", (string)scene["findings"]![0]!["words"]!, StringComparison.Ordinal);
        Assert.StartsWith("Add", (string)scene["undoLabel"]!, StringComparison.Ordinal);
        Assert.Equal("inch", (string)(await server.Get($"/api/projects/{id}"))["project"]!["unit"]!);
        var (status, refused) = await server.Post(
            $"/api/projects/{id}/edits",
            new
            {
                head,
                edit = new
                {
                    edit = "setHooping",
                    fieldWidth = 5,
                    fieldHeight = 150,
                },
            }
        );
        Assert.Equal(400, status);
        Assert.Contains("1.18 to 39.37 in", (string)refused["detail"]!, StringComparison.Ordinal);
        await server.Edit(id, head, new { edit = "setUnit", unit = "millimetre" });
        scene = await server.Get($"/api/projects/{id}/scene");
        Assert.Contains("8.0 × 6.0 mm", (string)scene["findings"]![0]!["words"]!, StringComparison.Ordinal);
    }

    [Fact]
    public async Task AHoop_IsKept_ForOtherProjects_AfterAKillToo()
    {
        var data = Directory.CreateTempSubdirectory("ullet-hoops-").FullName;
        string id;
        using (var first = await ServerProcess.Start(data))
        {
            using var client = new HttpClient { BaseAddress = first.Address };
            using var answer = await client.PostAsJsonAsync("/api/hoops", Long("Rowan's", 240));
            id = (string)(await answer.Content.ReadFromJsonAsync<JsonNode>())!["id"]!;
            first.Kill();
        }
        using var second = await ServerProcess.Start(data);
        using var again = new HttpClient { BaseAddress = second.Address };
        var kept = Assert.Single((await again.GetFromJsonAsync<JsonNode>("/api/hoops"))!.AsArray())!;
        Assert.Equal(
            (id, 240.0, 4.0),
            ((string)kept["id"]!, (double)kept["hoop"]!["fieldWidth"]!, (double)kept["hoop"]!["middleX"]!)
        );
        using var made = await again.PostAsJsonAsync("/api/projects", new { title = "Runner", hoopId = id });
        var project = (string)(await made.Content.ReadFromJsonAsync<JsonNode>())!["id"]!;
        var scene = await again.GetFromJsonAsync<JsonNode>($"/api/projects/{project}/scene");
        Assert.Equal("Rowan's", (string)scene!["hooping"]!["hoop"]!["name"]!);
        using var gone = await again.DeleteAsync($"/api/hoops/{id}");
        Assert.Equal(204, (int)gone.StatusCode);
        using var twice = await again.DeleteAsync($"/api/hoops/{id}");
        Assert.Equal(404, (int)twice.StatusCode);
    }

    [Theory]
    [InlineData(5)]
    [InlineData(5000)]
    public async Task AHoopThatIsNone_IsNotKept(double width)
    {
        var (status, refused) = await server.Post("/api/hoops", Long("None", width));
        Assert.Equal((400, "fieldWidth"), (status, (string)refused["place"]!));
        Assert.DoesNotContain(
            (await server.Get("/api/hoops")).AsArray(),
            own => (string)own!["hoop"]!["name"]! == "None"
        );
    }

    [Fact]
    public async Task HowAKindOfClothIsCut_IsRemembered_ForNewProjectsAndNewCloths()
    {
        var (first, head) = await server.Blank("Cutter");
        var profile = new
        {
            name = "Cotton with fusible",
            blade = "drag",
            depth = 0.9,
            pressure = 0.5,
            speed = 40,
            passes = 2,
            smallestFeature = 2.5,
        };
        head = await server.Edit(
            first,
            head,
            new
            {
                edit = "setCutProfile",
                clothId = "clay",
                profile,
            }
        );
        await server.Edit(
            first,
            head,
            new
            {
                edit = "setTolerances",
                clothId = "clay",
                tolerances = new { cutting = 0.35 },
            }
        );
        var (second, _) = await server.Blank("Another");
        var cloths = (await server.Get($"/api/projects/{second}"))["project"]!["cut"]!["cloths"]!.AsArray();
        var clay = cloths.Single(cloth => (string)cloth!["clothId"]! == "clay")!;
        Assert.Equal((0.9, 0.35), ((double)clay["profile"]!["depth"]!, (double)clay["tolerances"]!["cutting"]!));
        Assert.DoesNotContain(cloths, cloth => (string)cloth!["clothId"]! == "hay");
    }

    [Fact]
    public async Task AMend_OfSeveral_IsChosenByItsNumber_AndAllOfACheckAtOnce()
    {
        var (id, head) = await server.Blank("Mends");
        foreach (var x in new[] { -30, 0, 30 })
        {
            var box = new
            {
                x,
                y = 0,
                width = 8,
                height = 6,
                rotation = 0,
            };
            head = await server.Edit(
                id,
                head,
                new
                {
                    edit = "addPiece",
                    shape = new { form = "ellipse" },
                    box,
                }
            );
        }
        var (status, body) = await server.Post(
            $"/api/projects/{id}/mends",
            new
            {
                head,
                code = "piece-too-small-to-trim",
                mend = 1,
                all = true,
            }
        );
        Assert.Equal(200, status);
        var scene = await server.Get($"/api/projects/{id}/scene");
        Assert.All(scene["elements"]!.AsArray(), each => Assert.Equal("satin", (string)each!["making"]!["kind"]!));
        Assert.Equal("Make it as satin, 3 times", (string)scene["undoLabel"]!);
        var (again, unknown) = await server.Post(
            $"/api/projects/{id}/mends",
            new
            {
                head = (long)body["head"]!,
                code = "piece-too-small-to-trim",
                mend = 9,
            }
        );
        Assert.Equal((400, "mend-unknown"), (again, (string)unknown["code"]!));
    }

    [Theory]
    [InlineData(0, 0, 200, 200, 200)]
    [InlineData(0, 0, 299, 299, 422)]
    public async Task ATestRing_LiesInTheCloth_OrItIsSaidThatThereIsNone(
        double x,
        double y,
        double width,
        double height,
        int status
    )
    {
        var address = FormattableString.Invariant(
            $"/api/devices/cutter/test-cut?matWidth=305&matHeight=305&corner=BottomRight&frameX={x}&frameY={y}&frameWidth={width}&frameHeight={height}"
        );
        using var answer = await server.Client.PostAsync(address, null);
        var body = JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
        if (status == 200)
        {
            Assert.True((double)body["ringY"]! > y + height + 6);
            Assert.InRange((double)body["ringX"]!, x, x + width);
        }
        else
        {
            Assert.Equal("ring-no-room", (string)body["code"]!);
        }
    }

    private static object Long(string name, double width) =>
        new
        {
            name,
            fieldWidth = width,
            fieldHeight = 150,
            middleX = 4,
        };
}
