using System.Text;
using System.Text.Json.Nodes;
using Ullet.Core.Projects;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class StashApiTests : IAsyncLifetime
{
    private readonly TestServer _server = new();

    /// <summary>A stash of one's own begins empty.</summary>
    public async ValueTask InitializeAsync()
    {
        foreach (var kind in new[] { "threads", "cloths" })
        {
            foreach (var owned in (await _server.Get($"/api/stash/{kind}")).AsArray())
            {
                var id = (string)(owned!["thread"] ?? owned)["id"]!;
                using var gone = await _server.Client.DeleteAsync($"/api/stash/{kind}/{id}");
                Assert.Equal(204, (int)gone.StatusCode);
            }
        }
    }

    public ValueTask DisposeAsync()
    {
        _server.Dispose();
        return ValueTask.CompletedTask;
    }

    [Fact]
    public async Task Threads_ComeInByCsv_GoOutTheSame_AndASecondTimeBringNewFactsOnly()
    {
        var brought = await Bring(Table(200));
        Assert.Equal((200, 0, true), Told(brought));
        var file = await _server.Client.GetByteArrayAsync("/api/stash/threads.csv");
        var again = await Bring(Encoding.UTF8.GetString(file));
        Assert.Equal((0, 200, true), Told(again));
        Assert.Equal(file, await _server.Client.GetByteArrayAsync("/api/stash/threads.csv"));
        await Bring("number,maker,name,colour,metres\n1007,yarns,seven,#112233,55");
        var seven = Assert.Single((await _server.Get("/api/stash/threads?search=1007")).AsArray())!["thread"]!;
        Assert.Equal(("seven", 55.0), ((string)seven["name"]!, (double)seven["metres"]!));
    }

    [Fact]
    public async Task ATable_ThatCantBeRead_SaysWhere_AndBringsNothing_UnlessItsRowsAreLeftOut()
    {
        const string Broken = "number,name,colour\n1,moss,#5d7a3a\n2,brick,brick\n3,clay,#c0694a";
        var looked = await Table(new { text = Broken });
        Assert.Equal((2, 1, false), ((int)looked["count"]!, (int)looked["broken"]!, (bool)looked["isSaved"]!));
        var (status, problem) = await _server.Post("/api/stash/threads/table", new { text = Broken, save = true });
        Assert.Equal((400, "rows-broken"), (status, (string)problem["code"]!));
        Assert.Contains("Row 3", (string)problem["detail"]!, StringComparison.Ordinal);
        Assert.Empty((await _server.Get("/api/stash/threads")).AsArray());
        await Table(
            new
            {
                text = Broken,
                save = true,
                leavesOutBroken = true,
            }
        );
        Assert.Equal(2, (await _server.Get("/api/stash/threads")).AsArray().Count);
    }

    [Theory]
    [InlineData("{\"text\":\"plot,path\\n1,2\",\"save\":true}", "columns-missing")]
    [InlineData("{\"text\":\"\"}", "table-empty")]
    [InlineData("{\"file\":\"not base 64\"}", "file-broken")]
    [InlineData("{\"text\":\"a,b\\n1,2\",\"targets\":[\"name\"]}", "targets-wrong")]
    [InlineData("{\"text\":\"a,b\\n1,2\",\"targets\":[\"name\",\"weight\"]}", "column-unknown")]
    [InlineData("{\"text\":\"a,b\\n1,2\",\"targets\":[\"name\",\"name\"]}", "column-twice")]
    public async Task AWrongTable_IsRefused_ByItsCode(string wish, string code)
    {
        var (status, problem) = await _server.Post("/api/stash/threads/table", JsonNode.Parse(wish)!);
        Assert.Equal((400, code), (status, (string)problem["code"]!));
    }

    [Fact]
    public async Task ACloth_IsNotTakenOut_AsAThread_NorAThreadAsACloth()
    {
        await Bring(Table(1));
        var thread = (await _server.Get("/api/stash/threads")).AsArray().Single()!["thread"]!;
        var (_, cloth) = await _server.Post(
            "/api/stash/cloths",
            new
            {
                id = "",
                name = "Linen",
                kind = "linen",
                colour = "#d8c8a0",
            }
        );
        foreach (var wrong in new[] { $"threads/{(string)cloth["id"]!}", $"cloths/{(string)thread["id"]!}" })
        {
            using var answer = await _server.Client.DeleteAsync($"/api/stash/{wrong}");
            Assert.Equal(404, (int)answer.StatusCode);
        }
        Assert.Single((await _server.Get("/api/stash/threads")).AsArray());
        Assert.Single((await _server.Get("/api/stash/cloths")).AsArray());
    }

    [Fact]
    public async Task ShadesHardlyToldApart_AreKnownAnew_AfterEachChange()
    {
        await Bring("number,name,colour\n1,moss,#5d7a3a\n2,fern,#5d7a3b\n3,brick,#a03020");
        Assert.Equal(2, await WithAlike());
        var fern = (await _server.Get("/api/stash/threads?search=fern")).AsArray().Single()!["thread"]!;
        using var gone = await _server.Client.DeleteAsync($"/api/stash/threads/{(string)fern["id"]!}");
        Assert.Equal(204, (int)gone.StatusCode);
        Assert.Equal(0, await WithAlike());
        await Bring("number,name,colour\n4,tile,#a03021");
        Assert.Equal(2, await WithAlike());
    }

    private async Task<int> WithAlike() =>
        (await _server.Get("/api/stash/threads")).AsArray().Count(row => row!["alike"]!.AsArray().Count > 0);

    [Fact]
    public async Task TwentyThousandRows_AreTooMany()
    {
        var (status, problem) = await _server.Post(
            "/api/stash/threads/table",
            new { text = Table(20_000), save = true }
        );
        Assert.Equal((413, "table-rows"), (status, (string)problem["code"]!));
        Assert.Empty((await _server.Get("/api/stash/threads")).AsArray());
    }

    [Fact]
    public async Task TheNearest_AreThoseOfAPlainCount_AndAlikeOnesPointAtEachOther()
    {
        await Bring(Table(300));
        var all = (await _server.Get("/api/stash/threads")).AsArray();
        var colours = all.ToDictionary(
            each => (string)each!["thread"]!["id"]!,
            each => (string)each!["thread"]!["colour"]!
        );
        var near = (await _server.Get("/api/stash/threads/near?colour=%235d7a3a&most=9")).AsArray();
        var plain = colours
            .Values.Select(colour => Math.Round(ColourDistance.Between(colour, "#5d7a3a"), 1))
            .Order()
            .Take(9);
        Assert.Equal(plain, near.Select(each => (double)each!["apart"]!));
        var alike = all.Where(each => each!["alike"]!.AsArray().Count > 0)
            .Select(each => (string)each!["thread"]!["id"]!);
        var counted = colours
            .Where(one =>
                colours.Any(other =>
                    other.Key != one.Key && ColourDistance.Between(one.Value, other.Value) <= ColourDistance.HardlyTold
                )
            )
            .Select(one => one.Key);
        Assert.Equal(counted.Order(), alike.Order());
        using var wrong = await _server.Client.GetAsync("/api/stash/threads/near?colour=green");
        Assert.Equal(400, (int)wrong.StatusCode);
    }

    [Fact]
    public async Task AThreadOfTheStash_TakesAnothersPlaceInAProject_AndItsEndChangesNothingThere()
    {
        await Bring("number,name,colour\n12,moss,#5d7a3a");
        var owned = (string)(await _server.Get("/api/stash/threads"))[0]!["thread"]!["id"]!;
        var (id, head) = await _server.Blank();
        head = await _server.Edit(id, head, TestServer.AddHeart);
        head = await _server.Edit(
            id,
            head,
            new
            {
                edit = "takeThread",
                stashId = owned,
                insteadOf = "rust",
            }
        );
        using var gone = await _server.Client.DeleteAsync($"/api/stash/threads/{owned}");
        Assert.Equal(204, (int)gone.StatusCode);
        var scene = await _server.Get($"/api/projects/{id}/scene");
        var taken = scene["threads"]!.AsArray().Single(thread => (string?)thread!["number"] == "12")!;
        Assert.Equal((string)taken["id"]!, (string)scene["hooping"]!["coverThreadId"]!);
        var stitches = await _server.Client.GetStringAsync($"/api/projects/{id}/program.ulst?trial=true");
        Assert.Contains("12 moss", stitches, StringComparison.Ordinal);
        var (status, problem) = await _server.Post(
            $"/api/projects/{id}/edits",
            new { head, edit = new { edit = "takeThread", stashId = owned } }
        );
        Assert.Equal((404, "stash-thread-unknown"), (status, (string)problem["code"]!));
    }

    [Fact]
    public async Task ACloth_IsKept_Found_Changed_AndTakenOut()
    {
        var cloth = new JsonObject
        {
            ["id"] = "",
            ["name"] = "barrow felt",
            ["kind"] = "felt",
            ["colour"] = "#b23a34",
            ["width"] = 900,
            ["leftLength"] = 350,
        };
        var (status, kept) = await _server.Post("/api/stash/cloths", cloth);
        Assert.Equal(200, status);
        Assert.Single((await _server.Get("/api/stash/cloths?search=felt%20BARROW")).AsArray());
        kept["leftLength"] = 100;
        await _server.Post("/api/stash/cloths", kept.DeepClone());
        var only = Assert.Single((await _server.Get("/api/stash/cloths")).AsArray())!;
        Assert.Equal(100, (double)only["leftLength"]!);
        kept["width"] = -1;
        var (refused, problem) = await _server.Post("/api/stash/cloths", kept.DeepClone());
        Assert.Equal((400, "number-out-of-range"), (refused, (string)problem["code"]!));
        kept["id"] = "nobody";
        Assert.Equal(404, (await _server.Post("/api/stash/cloths", kept.DeepClone())).Status);
        using var gone = await _server.Client.DeleteAsync($"/api/stash/cloths/{only["id"]}");
        Assert.Equal(204, (int)gone.StatusCode);
        using var twice = await _server.Client.DeleteAsync($"/api/stash/cloths/{only["id"]}");
        Assert.Equal(404, (int)twice.StatusCode);
    }

    /// <summary>Threads of colours that are spread by a fixed walk.</summary>
    private static string Table(int count) =>
        "number,name,maker,kind,colour,metres\n"
        + string.Join(
            '\n',
            Enumerable
                .Range(0, count)
                .Select(i => $"{1000 + i},shade {i},yarns,polyester,#{i * 7919 * 31 % 0xffffff:x6},{100 + (i % 7)}")
        );

    private async Task<JsonNode> Bring(string text) => await Table(new { text, save = true });

    private async Task<JsonNode> Table(object wish)
    {
        var (status, body) = await _server.Post("/api/stash/threads/table", wish);
        Assert.True(status == 200, body.ToJsonString());
        return body;
    }

    private static (int New, int Known, bool Saved) Told(JsonNode table) =>
        ((int)table["new"]!, (int)table["known"]!, (bool)table["isSaved"]!);
}
