using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Ullet.Server.Data;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class ShelfApiTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task Search_FindsByTitle_Tag_WordsOnTheWall_AndCloth_WhateverCaseAndAccents()
    {
        var (id, head) = await server.Blank("Rhubarb écru");
        await server.Edit(
            id,
            head,
            new
            {
                edit = "addWords",
                text = "Quince",
                fontId = (string)(await server.Get("/api/catalogue"))["usualFontId"]!,
                width = 60,
            }
        );
        await Change(new { ids = new[] { id }, addTags = new[] { "Autumn stall" } });
        foreach (var search in new[] { "rhubarb ECRU", "stall rhub", "quince", "hay felt quince" })
        {
            Assert.Contains(id, await Ids($"search={Uri.EscapeDataString(search)}"));
        }
        Assert.DoesNotContain(id, await Ids("search=rhubarb%20turnip"));
        Assert.Equal([id], await Ids("tag=autumn%20STALL"));
    }

    [Fact]
    public async Task Sorting_IsByChange_ByName_OrByBeginning_AndNothingElse()
    {
        var (first, head) = await server.Blank("zz first");
        var (second, _) = await server.Blank("aa second");
        await server.Edit(first, head, TestServer.AddHeart);
        Assert.Equal(first, (await Ids(""))[0]);
        Assert.Equal(second, (await Ids("sort=name"))[0]);
        Assert.Equal(second, (await Ids("sort=begun"))[0]);
        using var wrong = await server.Client.GetAsync("/api/projects?sort=colour");
        Assert.Equal(400, (int)wrong.StatusCode);
    }

    [Fact]
    public async Task AChange_IsMadeOfAll_OrOfNone()
    {
        var (one, _) = await server.Blank("Bed one");
        var (two, _) = await server.Blank("Bed two");
        await Refused("project-unknown", new { ids = new[] { one, "nobody" }, addTags = new[] { "bed" } });
        await Refused(
            "tag-too-long",
            new { ids = new[] { one, two }, addTags = new[] { "bed", new string('x', 300) } }
        );
        await Refused("tag-empty", new { ids = new[] { one }, addTags = new[] { " \n " } });
        await Refused("nothing-chosen", new { ids = Array.Empty<string>(), addTags = new[] { "bed" } });
        await Refused(
            "set-unknown",
            new
            {
                ids = new[] { one },
                setId = "nowhere",
                addTags = new[] { "bed" },
            }
        );
        var many = Enumerable.Range(0, 21).Select(i => $"tag {i}").ToArray();
        await Refused("tags-too-many", new { ids = new[] { one }, addTags = many });
        Assert.Empty((await Item(one))["tags"]!.AsArray());
    }

    [Fact]
    public async Task Tags_AreKeptOnce_WhateverCase_AndTakenAwayAgain()
    {
        var (id, _) = await server.Blank("Tagged bed");
        await Change(new { ids = new[] { id }, addTags = new[] { "Bean row", "stall" } });
        await Change(new { ids = new[] { id }, addTags = new[] { "BEAN ROW", "kitchen" } });
        Assert.Equal(["Bean row", "kitchen", "stall"], Tags(await Item(id)));
        var labels = await server.Get("/api/shelf/labels");
        Assert.Contains(
            labels["tags"]!.AsArray(),
            tag => (string)tag!["tag"]! == "Bean row" && (int)tag["count"]! == 1
        );
        await Change(new { ids = new[] { id }, removeTags = new[] { "bean ROW", "none" } });
        Assert.Equal(["kitchen", "stall"], Tags(await Item(id)));
    }

    [Fact]
    public async Task ASet_IsMade_Joined_Left_AndGoesWithItsLastProject()
    {
        var (one, _) = await server.Blank("Set one");
        var (two, _) = await server.Blank("Set two");
        await Change(new { ids = new[] { one }, newSet = "Rows" });
        var set = (string)(await Item(one))["set"]!["id"]!;
        await Change(new { ids = new[] { two }, setId = set });
        Assert.Equal(new[] { one, two }.Order(), (await Ids($"set={set}")).Order());
        await Change(new { ids = new[] { one, two }, leaveSet = true });
        Assert.DoesNotContain(
            (await server.Get("/api/shelf/labels"))["sets"]!.AsArray(),
            known => (string)known!["id"]! == set
        );
    }

    [Fact]
    public async Task TheBin_ShowsWhatIsInIt_GivesItBack_OrLetsItGoForGood()
    {
        var (one, head) = await server.Blank("Bin one");
        var (two, _) = await server.Blank("Bin two");
        await Change(new { ids = new[] { one, two }, binned = true });
        var bin = (await server.Get("/api/bin")).AsArray();
        var thrown = bin.Single(item => (string)item!["id"]! == one)!;
        Assert.Equal(("Bin one", head), ((string)thrown["title"]!, (long)thrown["head"]!));
        Assert.Equal(30.0 * 86_400_000, (long)thrown["goesAt"]! - (long)thrown["deletedAt"]!);
        Assert.DoesNotContain(one, await Ids(""));
        var picture = await server.Client.GetByteArrayAsync($"/api/projects/{one}/revisions/{head}/picture.png");
        Assert.Equal((byte)'P', picture[1]);

        await Change(new { ids = new[] { one }, binned = false });
        Assert.Contains(one, await Ids(""));
        using var shelved = await server.Client.DeleteAsync($"/api/bin/{one}");
        Assert.Equal(404, (int)shelved.StatusCode);
        using var gone = await server.Client.DeleteAsync($"/api/bin/{two}");
        Assert.Equal(204, (int)gone.StatusCode);
        Assert.DoesNotContain((await server.Get("/api/bin")).AsArray(), item => (string)item!["id"]! == two);
    }

    [Fact]
    public async Task AProjectWithOrders_StaysInTheBin()
    {
        var withOrders = (await server.Get("/api/projects"))
            .AsArray()
            .Select(item => (string)item!["id"]!)
            .First(id => OrderCount(id) > 0);
        await Change(new { ids = new[] { withOrders }, binned = true });
        var item = (await server.Get("/api/bin")).AsArray().Single(each => (string)each!["id"]! == withOrders)!;
        Assert.Null(item["goesAt"]);
        using var kept = await server.Client.DeleteAsync($"/api/bin/{withOrders}");
        Assert.Equal(409, (int)kept.StatusCode);
        await Change(new { ids = new[] { withOrders }, binned = false });
    }

    [Fact]
    public async Task TwoProjectsOfOneName_AreToldApart_AndUlletsOwnNamesAreFree()
    {
        var (one, _) = await server.Blank("Namesake");
        Assert.False((bool)(await Item(one))["hasNamesake"]!);
        var (two, _) = await server.Blank("namesake");
        Assert.True((bool)(await Item(one))["hasNamesake"]!);
        Assert.True((bool)(await Item(two))["hasNamesake"]!);
        await server.Post($"/api/projects/{one}/copy", new { });
        await server.Post($"/api/projects/{one}/copy", new { });
        var titles = (await server.Get("/api/projects?search=namesake%20copy"))
            .AsArray()
            .Select(item => (string)item!["title"]!);
        Assert.Equal(["Namesake, copy", "Namesake, copy 2"], titles.Order());
    }

    [Fact]
    public async Task AVariant_HasTheSizeThatWasAsked_AndStandsInOneSetWithTheOthers()
    {
        var (id, head) = await server.Blank("Sized heart");
        await server.Edit(id, head, TestServer.AddHeart);
        await Change(new { ids = new[] { id }, addTags = new[] { "stall" } });
        var start = await server.Get($"/api/projects/{id}/variants");
        var width = (double)start["width"]! * 1.5;
        var (status, made) = await server.Post($"/api/projects/{id}/variants", new { width });
        Assert.Equal(201, status);
        var variant = (string)made["id"]!;
        var sized = await server.Get($"/api/projects/{variant}/variants");
        Assert.Equal(width, (double)sized["width"]!, 0.11);
        Assert.Equal([id], sized["siblings"]!.AsArray().Select(each => (string)each!["id"]!));
        Assert.Equal(["stall"], Tags(await Item(variant)));
        Assert.Equal("Sized heart", (string)(await Item(id))["set"]!["name"]!);
        var (again, _) = await server.Post($"/api/projects/{variant}/variants", new { width = 200 });
        Assert.Equal(201, again);
        Assert.Equal(3, (await Ids($"set={(await Item(id))["set"]!["id"]}")).Count);
        var (refused, problem) = await server.Post($"/api/projects/{id}/variants", new { width = -3 });
        Assert.Equal((400, "number-out-of-range"), (refused, (string)problem["code"]!));
    }

    [Fact]
    public async Task WhatTheShelfTells_FollowsEveryChange()
    {
        var (id, head) = await server.Blank("Told");
        Assert.Equal(0, (int)(await Item(id))["pieces"]!);
        head = await server.Edit(id, head, TestServer.AddHeart);
        Assert.Equal((1, head), ((int)(await Item(id))["pieces"]!, (long)(await Item(id))["head"]!));
        await server.Post($"/api/projects/{id}/undo", new { head });
        Assert.Equal(0, (int)(await Item(id))["pieces"]!);
    }

    private int OrderCount(string projectId)
    {
        using var scope = server.Services.CreateScope();
        return scope.ServiceProvider.GetRequiredService<UlletDb>().Orders.Count(order => order.ProjectId == projectId);
    }

    private async Task<List<string>> Ids(string query) =>
        [.. (await server.Get($"/api/projects?{query}")).AsArray().Select(item => (string)item!["id"]!)];

    private async Task<JsonNode> Item(string id) =>
        (await server.Get("/api/projects")).AsArray().Single(item => (string)item!["id"]! == id)!;

    private static IEnumerable<string> Tags(JsonNode item) => item["tags"]!.AsArray().Select(tag => (string)tag!);

    private async Task Change(object change)
    {
        var (status, body) = await server.Post("/api/shelf/changes", change);
        Assert.True(status == 200, body.ToJsonString());
    }

    private async Task Refused(string code, object change)
    {
        using var answer = await server.Client.PostAsJsonAsync("/api/shelf/changes", change);
        var problem = (await answer.Content.ReadFromJsonAsync<JsonNode>())!;
        Assert.InRange((int)answer.StatusCode, 400, 499);
        Assert.Equal(code, (string)problem["code"]!);
        Assert.NotEmpty((string)problem["detail"]!);
    }
}
