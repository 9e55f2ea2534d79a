using System.Net;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

/// <summary>The card, and the door that shows it to the local network.</summary>
public sealed partial class CardTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task ACard_IsOnePage_ThatNeedsNothingElse_AndTellsItsState()
    {
        var (id, head) = await server.Blank();
        await server.Edit(id, head, TestServer.AddHeart);
        var page = await Text(server.Client, $"/card/{id}");
        Assert.DoesNotMatch("(src|href)=\"(?!data:|#)", page);
        Assert.Contains("class=\"stop\"", page, StringComparison.Ordinal);
        var scene = await server.Get($"/api/projects/{id}/scene");
        var code = (string)scene["code"]!;
        Assert.Equal(code, await Text(server.Client, $"/card/{id}/state"));
        Assert.Contains($"data-code=\"{code}\"", page, StringComparison.Ordinal);
        // Each stop has the key of its step, by which a phone keeps its place.
        var keys = scene["steps"]!.AsArray().Select(step => (string)step!["key"]!).ToList();
        Assert.All(StopKey().Matches(page).Select(match => match.Groups[1].Value), key => Assert.Contains(key, keys));
        await server.Edit(id, (long)scene["head"]!, new { edit = "renameProject", title = "Another" });
        Assert.NotEqual(code, await Text(server.Client, $"/card/{id}/state"));
        var none = await server.Client.GetAsync("/card/none", TestContext.Current.CancellationToken);
        Assert.Equal(HttpStatusCode.NotFound, none.StatusCode);
    }

    [Fact]
    public async Task AProjectWithoutSteps_HasACardThatSaysSo()
    {
        var (id, _) = await server.Blank();
        Assert.Contains("stop", await Text(server.Client, $"/card/{id}"), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("booklet.pdf?paper=papyrus", 400, "paper-unknown")]
    [InlineData("booklet.pdf?type=tiny", 400, "type-unknown")]
    [InlineData("moment.svg?step=e9.cover.0", 404, "step-unknown")]
    [InlineData("moment.svg?step=nonsense", 404, "step-unknown")]
    [InlineData("moment.svg?step=e1.cover.0&width=5", 400, "number-out-of-range")]
    [InlineData("moment.svg?step=e1.cover.0&type=NaN", 400, "number-out-of-range")]
    public async Task WhatCantBeDrawn_IsSaid(string path, int status, string code)
    {
        var (id, head) = await server.Blank();
        await server.Edit(id, head, TestServer.AddHeart);
        var answer = await server.Client.GetAsync($"/api/projects/{id}/{path}", TestContext.Current.CancellationToken);
        var said = JsonNode.Parse(await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken))!;
        Assert.Equal((status, code), ((int)answer.StatusCode, (string)said["code"]!));
    }

    [Fact]
    public async Task AMoment_IsDrawnForEveryStepOfTheRunSheet()
    {
        var (id, head) = await server.Blank();
        await server.Edit(id, head, TestServer.AddHeart);
        foreach (var step in (await server.Get($"/api/projects/{id}/scene"))["steps"]!.AsArray())
        {
            var drawn = await Text(server.Client, $"/api/projects/{id}/moment.svg?step={step!["key"]}");
            Assert.StartsWith("<svg", drawn, StringComparison.Ordinal);
            Assert.Contains("aria-label=\"", drawn, StringComparison.Ordinal);
        }
    }

    [Fact]
    public async Task TheDoor_AnswersNothingButTheCard_AndOnlyToTheCode()
    {
        var (id, head) = await server.Blank();
        await server.Edit(id, head, TestServer.AddHeart);
        using var door = await Opened(id);
        // Not before the code was given, and not after the switch is off.
        Assert.Contains("Code", await Text(door.Phone, "/"), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.SeeOther, (await Get(door.Phone, "/card")).StatusCode);
        Assert.Equal(HttpStatusCode.Unauthorized, (await Get(door.Phone, "/card/state")).StatusCode);
        Assert.Equal(HttpStatusCode.Unauthorized, (await Give(door.Phone, "x")).StatusCode);
        Assert.Equal(HttpStatusCode.SeeOther, (await Give(door.Phone, door.Code)).StatusCode);
        Assert.Contains("class=\"stop\"", await Text(door.Phone, "/card"), StringComparison.Ordinal);
        Assert.Matches("^[2-9A-Z]{5}$", await Text(door.Phone, "/card/state"));
        foreach (
            var path in new[]
            {
                "/api/projects",
                $"/api/projects/{id}",
                $"/api/projects/{id}/scene",
                $"/api/projects/{id}/booklet.pdf",
                $"/card/{id}",
                "/card/",
                "/card/../api/projects",
                "/index.html",
                "/docs",
                "/openapi/v1.json",
                "/assets/index.js",
                "/favicon.ico",
                "/p/x/wall",
                $"/?code={door.Code}",
                "/card?x=1",
                "//card",
                "/CARD",
            }
        )
        {
            var answer = await Get(door.Phone, path);
            Assert.Equal((path, HttpStatusCode.NotFound), (path, answer.StatusCode));
            Assert.Empty(await answer.Content.ReadAsByteArrayAsync(TestContext.Current.CancellationToken));
        }
        foreach (var method in new[] { "PUT", "DELETE", "PATCH", "OPTIONS", "TRACE", "POST" })
        {
            using var request = new HttpRequestMessage(new HttpMethod(method), "/card");
            var answer = await door.Phone.SendAsync(request, TestContext.Current.CancellationToken);
            Assert.Equal((method, HttpStatusCode.NotFound), (method, answer.StatusCode));
        }
        using (var named = new HttpRequestMessage(HttpMethod.Get, "/"))
        {
            named.Headers.Host = "card.example";
            Assert.Equal(
                HttpStatusCode.NotFound,
                (await door.Phone.SendAsync(named, TestContext.Current.CancellationToken)).StatusCode
            );
        }
        await server.Client.DeleteAsync("/api/phone", TestContext.Current.CancellationToken);
        await Assert.ThrowsAsync<HttpRequestException>(() => Get(door.Phone, "/card"));
        Assert.Null((await server.Get("/api/phone"))["open"]);
    }

    [Fact]
    public async Task TwentyWrongCodes_LockTheDoor_AndOffAndOnGivesANewOne()
    {
        var (id, _) = await server.Blank();
        using var door = await Opened(id);
        var answers = new List<HttpStatusCode>();
        for (var i = 0; i < 20; i++)
        {
            answers.Add((await Give(door.Phone, $"wrong{i}")).StatusCode);
        }
        Assert.All(answers[..^1], status => Assert.Equal(HttpStatusCode.Unauthorized, status));
        Assert.Equal(HttpStatusCode.TooManyRequests, answers[^1]);
        Assert.Equal(HttpStatusCode.TooManyRequests, (await Give(door.Phone, door.Code)).StatusCode);
        using var again = await Opened(id);
        Assert.Equal(HttpStatusCode.SeeOther, (await Give(again.Phone, again.Code)).StatusCode);
        await server.Client.DeleteAsync("/api/phone", TestContext.Current.CancellationToken);
    }

    [Fact]
    public async Task TwoPhones_ComeInByTheSameCode()
    {
        var (id, head) = await server.Blank();
        await server.Edit(id, head, TestServer.AddHeart);
        using var door = await Opened(id);
        using var other = Phone(door.Phone.BaseAddress!);
        foreach (var phone in new[] { door.Phone, other })
        {
            Assert.Equal(HttpStatusCode.SeeOther, (await Give(phone, door.Code)).StatusCode);
            Assert.Contains("class=\"stop\"", await Text(phone, "/card"), StringComparison.Ordinal);
        }
        await server.Client.DeleteAsync("/api/phone", TestContext.Current.CancellationToken);
    }

    private async Task<Door> Opened(string id)
    {
        var (status, said) = await server.Post($"/api/projects/{id}/phone", new { });
        Assert.Equal(200, status);
        var (code, address) = ((string)said["code"]!, (string)said["addresses"]![0]!["address"]!);
        Assert.Matches("^[0-9]{6}$", code);
        Assert.DoesNotContain(code, address, StringComparison.Ordinal);
        Assert.StartsWith("M", (string)said["addresses"]![0]!["qrPath"]!, StringComparison.Ordinal);
        return new Door(code, Phone(new Uri(address)));
    }

    private static HttpClient Phone(Uri address) =>
        new(new HttpClientHandler { AllowAutoRedirect = false, UseProxy = false }) { BaseAddress = address };

    private static Task<HttpResponseMessage> Get(HttpClient client, string path) =>
        client.GetAsync(
            new Uri(client.BaseAddress!.GetLeftPart(UriPartial.Authority) + path),
            TestContext.Current.CancellationToken
        );

    private static async Task<HttpResponseMessage> Give(HttpClient phone, string code)
    {
        using var form = new FormUrlEncodedContent([new("code", code)]);
        return await phone.PostAsync("/", form, TestContext.Current.CancellationToken);
    }

    private static async Task<string> Text(HttpClient client, string path)
    {
        var answer = await client.GetAsync(path, TestContext.Current.CancellationToken);
        return await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
    }

    [GeneratedRegex("<section class=\"stop\" data-key=\"([^\"]+)\"", RegexOptions.None, 2000)]
    private static partial Regex StopKey();

    private sealed record Door(string Code, HttpClient Phone) : IDisposable
    {
        public void Dispose() => Phone.Dispose();
    }
}
