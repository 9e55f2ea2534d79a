using System.Text.Json.Nodes;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class OperationsApiTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task ACarving_StandsInTheScene_WithWhatItIsMeasuredBetween_AndWhatItLeaves()
    {
        var id = await Carved(
            new
            {
                operation = "carve",
                sourceIds = new[] { "e2" },
                reveal = 0.5,
            }
        );
        var scene = await server.Get($"/api/projects/{id}/scene");
        var (ellipse, bar) = (scene["elements"]![0]!, scene["elements"]![1]!);
        var row = Assert.Single(ellipse["operations"]!.AsArray())!;
        Assert.Equal(("Carve", "done", 0), ((string)row["name"]!, (string)row["standing"]!, (int)row["crumbs"]!));
        Assert.Contains("1.4 mm of this cover and 1.4 mm of theirs", (string)row["note"]!, StringComparison.Ordinal);
        Assert.Equal("e1", (string)Assert.Single(bar["neededBy"]!.AsArray())!);
        var (status, refused) = await Try(id, new { edit = "removeElements", elementIds = new[] { "e2" } });
        Assert.Equal((400, "element-needed"), (status, (string)refused["code"]!));
    }

    [Fact]
    public async Task TheForm_TellsNodesAndStretches()
    {
        var id = await Carved(new { operation = "carve", sourceIds = new[] { "e2" } });
        var form = await server.Get($"/api/projects/{id}/elements/e1/form");
        Assert.Empty(form["lines"]!.AsArray());
        // Two halves of the ellipse with two sides each.
        Assert.Equal(4, form["stretches"]!.AsArray().Count);
        var (status, _) = await Try(
            id,
            new
            {
                edit = "freezeElement",
                elementId = "e1",
                keepsOperations = false,
            }
        );
        Assert.Equal(200, status);
        form = await server.Get($"/api/projects/{id}/elements/e1/form");
        Assert.Equal(2, form["lines"]!.AsArray().Count);
        Assert.All(form["lines"]!.AsArray(), line => Assert.True((bool)line!["isClosed"]!));
    }

    [Theory]
    [InlineData("source-itself", "e1")]
    [InlineData("element-unknown", "e9")]
    public async Task AnOperation_ThatCannotBe_ChangesNothing(string code, string source)
    {
        var id = await Carved(null);
        var operation = new { operation = "join", sourceIds = new[] { source } };
        var (_, refused) = await Try(
            id,
            new
            {
                edit = "addOperation",
                elementId = "e1",
                operation,
            }
        );
        Assert.Equal(code, (string)refused["code"]!);
        var scene = await server.Get($"/api/projects/{id}/scene");
        Assert.Empty(scene["elements"]![0]!["operations"]!.AsArray());
    }

    private async Task<string> Carved(object? operation)
    {
        var (id, _) = await server.Blank("Carved");
        var box = new
        {
            x = 0,
            y = 0,
            width = 60,
            height = 60,
            rotation = 0,
        };
        await Try(
            id,
            new
            {
                edit = "addPiece",
                shape = new { form = "ellipse" },
                box,
            }
        );
        await Try(
            id,
            new
            {
                edit = "addPiece",
                shape = new { form = "rectangle" },
                box = box with
                {
                    width = 90,
                    height = 8,
                },
            }
        );
        if (operation is not null)
        {
            await Try(
                id,
                new
                {
                    edit = "addOperation",
                    elementId = "e1",
                    operation,
                }
            );
        }
        return id;
    }

    private async Task<(int Status, JsonNode Body)> Try(string id, object edit)
    {
        var head = (long)(await server.Get($"/api/projects/{id}/scene"))["head"]!;
        return await server.Post($"/api/projects/{id}/edits", new { head, edit });
    }
}
