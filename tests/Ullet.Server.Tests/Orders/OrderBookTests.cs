using System.Globalization;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests.Orders;

/// <summary>The book over the API: rows, undo, judging, tables in and out.</summary>
public sealed class OrderBookTests(TestServer server) : IClassFixture<TestServer>
{
    private static IEnumerable<string> Names(JsonNode book) =>
        book["orders"]!.AsArray().Select(order => (string?)order!["values"]!["name"] ?? "");

    [Fact]
    public async Task Rows_AreAddedChangedAndRemoved_EachWithOneUndo()
    {
        var shop = await OrderShop.Open(server.Client);
        var ids = await shop.Order("Ama", "Jo");
        await shop.Post(
            shop.Path,
            new
            {
                label = "Change order 2",
                set = new[]
                {
                    new
                    {
                        id = ids[1],
                        values = new { name = "Joan" },
                        quantity = 3,
                    },
                },
            }
        );
        var book = await shop.Post(
            shop.Path,
            new
            {
                label = "Remove order 1",
                set = Array.Empty<object>(),
                removed = new[] { ids[0] },
            }
        );
        Assert.Equal(["Joan"], Names(book));
        Assert.Equal("Remove order 1", (string)book["undo"]!);
        book = await shop.Post($"{shop.Path}/undo", new { });
        Assert.Equal(["Ama", "Joan"], Names(book));
        book = await shop.Post($"{shop.Path}/undo", new { });
        Assert.Equal(["Ama", "Jo"], Names(book));
        Assert.Equal(1, (int)book["orders"]![1]!["quantity"]!);
        book = await shop.Post($"{shop.Path}/redo", new { });
        Assert.Equal(["Ama", "Joan"], Names(book));
        Assert.Equal("1 2", string.Join(' ', book["orders"]!.AsArray().Select(order => (string)order!["number"]!)));
    }

    [Fact]
    public async Task Orders_AreJudged_EachWithWhatStandsAgainstIt()
    {
        var shop = await OrderShop.Open(server.Client);
        var ids = await shop.Order("Ama", "Wilhelmina-Theodora the", "Mira ☃", "Jo");
        var judged = (await shop.Post($"{shop.Path}/judge", new { ids })).AsArray();
        Assert.Equal(["fine", "stop", "stop", "fine"], judged.Select(each => (string)each!["level"]!));
        Assert.Contains("does not fit", (string)judged[1]!["findings"]![0]!["words"]!, StringComparison.Ordinal);
        Assert.Contains("☃", (string)judged[2]!["findings"]![0]!["words"]!, StringComparison.Ordinal);
        Assert.True((int)judged[0]!["stitches"]! > 50);
        using var picture = await server.Client.GetAsync($"{shop.Path}/{ids[0]}/picture.png?size=120");
        Assert.Equal("image/png", picture.Content.Headers.ContentType?.MediaType);
        var tried = await shop.Post($"{shop.Path}/try", new { values = new { name = "Zoë" } });
        Assert.Equal("Zoë", (string)tried["says"]!);
    }

    [Fact]
    public async Task ATable_IsLookedAt_ThenComesWholeOrNotAtAll()
    {
        var shop = await OrderShop.Open(server.Client);
        const string Bad = "No,Name,Due\n7,Ama,2026-12-24\n7,Jo,soon\n";
        var seen = await shop.Post($"{shop.Path}/table", new { text = Bad, save = true });
        Assert.False((bool)seen["isSaved"]!);
        Assert.Contains("Row 3: “soon” is no day", (string)seen["troubles"]![0]!, StringComparison.Ordinal);
        Assert.Contains("twice in the book: 7", (string)seen["notes"]![0]!, StringComparison.Ordinal);
        Assert.Empty((await shop.Book())["orders"]!.AsArray());
        var moved = await shop.Post(
            $"{shop.Path}/table",
            new
            {
                text = Bad,
                targets = new[] { "number", "name", "note" },
                save = true,
            }
        );
        Assert.True((bool)moved["isSaved"]!);
        var book = await shop.Book();
        Assert.Equal(["Ama", "Jo"], Names(book));
        Assert.Equal("soon", (string)book["orders"]![1]!["note"]!);
        var judged = await shop.Post(
            $"{shop.Path}/judge",
            new { ids = book["orders"]!.AsArray().Select(order => (string)order!["id"]!) }
        );
        Assert.Contains("more than once", (string)judged[0]!["findings"]![0]!["words"]!, StringComparison.Ordinal);
    }

    [Fact]
    public async Task TheBookAsCsv_ComesInAgain_FormulasAsText()
    {
        var shop = await OrderShop.Open(server.Client);
        await shop.Order("=SUM(A1)", "O’Dell, “Beck”", "Zoë");
        var csv = await server.Client.GetByteArrayAsync($"{shop.Path}/book.csv");
        var other = await OrderShop.Open(server.Client, "Another strip");
        var came = await other.Post($"{other.Path}/table", new { file = Convert.ToBase64String(csv), save = true });
        Assert.True((bool)came["isSaved"]!, came.ToJsonString());
        Assert.Equal(Names(await shop.Book()), Names(await other.Book()));
        Assert.Contains("'=SUM(A1)", Encoding.UTF8.GetString(csv), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("/table", """{"file":"!!!","save":true}""", "table-broken")]
    [InlineData("/table", """{"text":"Name\nAma","targets":["nowhere"]}""", "column-unknown")]
    [InlineData("/table", """{"text":"Name,B\nAma,b","targets":["name","name"]}""", "column-twice")]
    [InlineData("", """{"set":[{"id":"gone","values":{}}]}""", "order-unknown")]
    [InlineData("", """{"set":[{"number":"","values":{}}]}""", "order-number")]
    [InlineData("", """{"set":[{"quantity":0,"values":{}}]}""", "order-quantity")]
    [InlineData("", """{"set":[{"wantedBy":"31.2.","values":{}}]}""", "order-day")]
    [InlineData("/jobs", """{"kind":"packets","orderIds":[]}""", "nothing-selected")]
    [InlineData("/jobs", """{"kind":"cakes","orderIds":["gone"]}""", "order-unknown")]
    [InlineData("/hoopings", """{"ids":["gone"]}""", "order-unknown")]
    [InlineData("/proofs.pdf", """{"ids":[],"paper":"a4"}""", "nothing-selected")]
    [InlineData("/undo", "{}", "nothing-to-undo")]
    public async Task WhatCantBe_IsRefused_AndChangesNothing(string path, string body, string code)
    {
        var shop = await OrderShop.Open(server.Client);
        using var content = new StringContent(body, Encoding.UTF8, "application/json");
        using var answer = await server.Client.PostAsync(shop.Path + path, content);
        var problem = JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
        Assert.Equal(code, (string?)problem["code"]);
        Assert.Empty((await shop.Book())["orders"]!.AsArray());
    }

    [Fact]
    public async Task TooManyOrders_AreRefused()
    {
        var shop = await OrderShop.Open(server.Client);
        var text = string.Concat(
            Enumerable.Range(1, 6_000).Select(i => string.Create(CultureInfo.InvariantCulture, $"{i}\tAma\n"))
        );
        using var content = new StringContent(
            new JsonObject { ["text"] = text, ["save"] = true }.ToJsonString(),
            Encoding.UTF8,
            "application/json"
        );
        using var answer = await server.Client.PostAsync($"{shop.Path}/table", content);
        Assert.Equal(HttpStatusCode.RequestEntityTooLarge, answer.StatusCode);
    }

    [Fact]
    public async Task Proofs_HoldTheirOrders_ToTheStateThatTheyShow()
    {
        var shop = await OrderShop.Open(server.Client);
        var ids = await shop.Order("Ama", "Jo");
        var (status, _) = await Proofs(shop, ids);
        Assert.Equal(HttpStatusCode.OK, status);
        var order = (await shop.Book())["orders"]![0]!;
        Assert.Equal(("proofed", true), ((string)order["state"]!, (bool)order["isHeld"]!));
        await shop.Edit(
            new
            {
                edit = "setLettering",
                elementId = shop.ElementId,
                fontId = "lobster",
            }
        );
        var judged = await shop.Post($"{shop.Path}/judge", new { ids });
        Assert.All(judged.AsArray(), each => Assert.True((bool)each!["differs"]!));
        // Another name is another order: its proof holds no more.
        await shop.Post(shop.Path, new { set = new[] { new { id = ids[0], values = new { name = "Amy" } } } });
        order = (await shop.Book())["orders"]![0]!;
        Assert.Equal(("new", false), ((string)order["state"]!, (bool)order["isHeld"]!));
    }

    private async Task<(HttpStatusCode Status, byte[] Pdf)> Proofs(OrderShop shop, List<string> ids)
    {
        using var content = new StringContent(
            $$"""{"ids":["{{string.Join("\",\"", ids)}}"],"spelled":true,"mark":true}""",
            Encoding.UTF8,
            "application/json"
        );
        using var answer = await server.Client.PostAsync($"{shop.Path}/proofs.pdf", content);
        return (answer.StatusCode, await answer.Content.ReadAsByteArrayAsync());
    }
}
