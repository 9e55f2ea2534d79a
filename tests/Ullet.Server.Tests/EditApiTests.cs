using System.Net;
using System.Text.Json.Nodes;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class EditApiTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task Edit_AnswersTheNewHeadAndShowsInTheScene()
    {
        var (id, head) = await server.Blank();
        var next = await server.Edit(id, head, TestServer.AddHeart);
        Assert.True(next > head);
        var scene = await server.Get($"/api/projects/{id}/scene");
        Assert.Equal(next, (long)scene["head"]!);
        Assert.Equal("Heart", (string)scene["elements"]![0]!["name"]!);
        Assert.Equal("Add heart", (string)scene["undoLabel"]!);
        Assert.Equal(7, scene["steps"]!.AsArray().Count);
    }

    [Fact]
    public async Task Edit_OnAStaleHead_Gets409WithTheCurrentOneAndChangesNothing()
    {
        var (id, head) = await server.Blank();
        var current = await server.Edit(id, head, TestServer.AddHeart);
        var (status, problem) = await server.Post(
            $"/api/projects/{id}/edits",
            new { head, edit = TestServer.AddHeart }
        );
        Assert.Equal(409, status);
        Assert.Equal("head-stale", (string)problem["code"]!);
        Assert.Equal(current, (long)problem["head"]!);
        var scene = await server.Get($"/api/projects/{id}/scene");
        Assert.Single(scene["elements"]!.AsArray());
    }

    [Fact]
    public async Task UndoAndRedo_MoveTheHeadBackAndForth()
    {
        var (id, head) = await server.Blank();
        var one = await server.Edit(id, head, TestServer.AddHeart);
        var two = await server.Edit(id, one, new { edit = "renameProject", title = "Bean patch" });
        var (_, undone) = await server.Post($"/api/projects/{id}/undo", new { head = two });
        Assert.Equal((one, "Rename the project"), ((long)undone["head"]!, (string)undone["label"]!));
        await server.Post($"/api/projects/{id}/undo", new { head = one });
        var (status, problem) = await server.Post($"/api/projects/{id}/undo", new { head });
        Assert.Equal((409, "nothing-to-undo"), (status, (string)problem["code"]!));
        await server.Post($"/api/projects/{id}/redo", new { head });
        var (_, redone) = await server.Post($"/api/projects/{id}/redo", new { head = one });
        Assert.Equal(two, (long)redone["head"]!);
        Assert.Equal("Bean patch", (string)(await server.Get($"/api/projects/{id}"))["project"]!["title"]!);
        var (end, last) = await server.Post($"/api/projects/{id}/redo", new { head = two });
        Assert.Equal((409, "nothing-to-redo"), (end, (string)last["code"]!));
    }

    [Fact]
    public async Task AnEditAfterAnUndo_IsWhatRedoBringsBack()
    {
        var (id, head) = await server.Blank();
        var lost = await server.Edit(id, head, TestServer.AddHeart);
        await server.Post($"/api/projects/{id}/undo", new { head = lost });
        var kept = await server.Edit(id, head, new { edit = "renameProject", title = "Other way" });
        await server.Post($"/api/projects/{id}/undo", new { head = kept });
        var (_, redone) = await server.Post($"/api/projects/{id}/redo", new { head });
        Assert.Equal(kept, (long)redone["head"]!);
        var revisions = (await server.Get($"/api/projects/{id}/revisions")).AsArray();
        Assert.Equal([kept, lost, head], revisions.Select(r => (long)r!["id"]!));
        Assert.True((bool)revisions[0]!["isHead"]!);
    }

    [Fact]
    public async Task Preview_AnswersAScene_AndSavesNothing()
    {
        var (id, head) = await server.Blank();
        head = await server.Edit(id, head, TestServer.AddHeart);
        var wide = new
        {
            edit = "setCover",
            elementId = "e1",
            cover = new { width = 6 },
        };
        var (status, body) = await server.Post($"/api/projects/{id}/edits?preview=true", new { head, edit = wide });
        Assert.Equal(200, status);
        var shown = body["scene"]!["elements"]![0]!["cloth"]!["cover"]!["width"]!;
        Assert.Equal(6, (double)shown);
        var stitches = CoverOf(body["scene"]!);
        using var points = await server.Client.GetAsync($"/api/projects/{id}/steps/e1.cover.0/stitches?key={stitches}");
        Assert.Equal(HttpStatusCode.OK, points.StatusCode);
        var scene = await server.Get($"/api/projects/{id}/scene");
        Assert.Equal(head, (long)scene["head"]!);
        Assert.Equal(3.5, (double)scene["elements"]![0]!["cloth"]!["cover"]!["width"]!);
    }

    [Fact]
    public async Task Stitches_OfACurrentKey_AreFloatPairs_AndOfAnOldKeyAre404()
    {
        var (id, head) = await server.Blank();
        head = await server.Edit(id, head, TestServer.AddHeart);
        var scene = await server.Get($"/api/projects/{id}/scene");
        var (old, count) = (CoverOf(scene), CountOf(scene));
        using var answer = await server.Client.GetAsync($"/api/projects/{id}/steps/e1.cover.0/stitches?key={old}");
        var bytes = await answer.Content.ReadAsByteArrayAsync();
        Assert.True(answer.Headers.CacheControl!.ToString().Contains("immutable", StringComparison.Ordinal));
        var numbers = Enumerable.Range(0, bytes.Length / 4).Select(i => BitConverter.ToSingle(bytes, i * 4)).ToList();
        Assert.InRange(numbers.Count / 2, count, count + 10);
        Assert.All(numbers.Where(n => !float.IsNaN(n)), n => Assert.InRange(n, -40, 40));
        await server.Edit(
            id,
            head,
            new
            {
                edit = "setCover",
                elementId = "e1",
                cover = new { width = 5 },
            }
        );
        using var gone = await server.Client.GetAsync($"/api/projects/{id}/steps/e1.cover.0/stitches?key={old}");
        Assert.Equal(HttpStatusCode.NotFound, gone.StatusCode);
    }

    [Fact]
    public async Task Mend_CarriesOutWhatTheFindingProposes()
    {
        var (id, head) = await server.Blank();
        head = await server.Edit(
            id,
            head,
            new
            {
                edit = "setHooping",
                fieldWidth = 100,
                fieldHeight = 100,
            }
        );
        var big = new
        {
            edit = "addPiece",
            shape = new { form = "ellipse" },
            box = new
            {
                x = 0,
                y = 0,
                width = 97,
                height = 97,
                rotation = 0,
            },
        };
        head = await server.Edit(id, head, big);
        var before = await server.Get($"/api/projects/{id}/scene");
        Assert.Contains(before["findings"]!.AsArray(), finding => (string)finding!["code"]! == "outside-field");
        var (status, _) = await server.Post($"/api/projects/{id}/mends", new { head, code = "outside-field" });
        Assert.Equal(200, status);
        var after = await server.Get($"/api/projects/{id}/scene");
        Assert.DoesNotContain(after["findings"]!.AsArray(), finding => (string)finding!["code"]! == "outside-field");
        Assert.Equal(130, (double)after["hooping"]!["fieldWidth"]!);
    }

    [Fact]
    public async Task Shelf_CopiesDeletesAndPutsBack()
    {
        var (id, _) = await server.Blank("Rhubarb row");
        var (_, copy) = await server.Post($"/api/projects/{id}/copy", new { });
        Assert.Contains("Rhubarb row, copy", await Titles());
        using var deleted = await server.Client.DeleteAsync($"/api/projects/{id}");
        Assert.Equal(HttpStatusCode.NoContent, deleted.StatusCode);
        Assert.DoesNotContain("Rhubarb row", await Titles());
        using var gone = await server.Client.GetAsync($"/api/projects/{id}/scene");
        Assert.Equal(HttpStatusCode.NotFound, gone.StatusCode);
        await server.Post($"/api/projects/{id}/restore", new { });
        Assert.Contains("Rhubarb row", await Titles());
        Assert.NotEqual(id, (string)copy["id"]!);
    }

    private async Task<List<string>> Titles() =>
        [.. (await server.Get("/api/projects")).AsArray().Select(item => (string)item!["title"]!)];

    private static string CoverOf(JsonNode scene) => (string)Cover(scene)["stitchesKey"]!;

    private static int CountOf(JsonNode scene) => (int)Cover(scene)["stitchCount"]!;

    private static JsonNode Cover(JsonNode scene) =>
        scene["steps"]!.AsArray().First(step => (string)step!["key"]! == "e1.cover.0")!;
}
