using System.Net;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Ullet.Core.Makings;
using Ullet.Core.Projects;
using Ullet.Server.Scenes.Elements;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

/// <summary>Scenes: elements as forms and makings, 0.6's fields beside them for whoever asks as 0.6 did; and what changes answer.</summary>
public sealed class SceneShapesTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public void EveryMaking_AndEveryForm_IsShown()
    {
        Assert.Equal(
            MakingModules.All.Select(module => module.Kind).Order(StringComparer.Ordinal),
            Kinds(typeof(MakingDto)).Order(StringComparer.Ordinal)
        );
        Assert.Equal(
            Kinds(typeof(Form)).Order(StringComparer.Ordinal),
            Kinds(typeof(FormDto)).Order(StringComparer.Ordinal)
        );
    }

    [Fact]
    public async Task Scene_SaysFormAndMaking_And06sFieldsOnlyToWhoDoesNotAskForTodays()
    {
        var (id, head) = await server.Blank();
        await server.Edit(id, head, TestServer.AddHeart);
        var both = (await server.Get($"/api/projects/{id}/scene"))["elements"]![0]!;
        Assert.Equal(
            ("shape", "cloth", "piece"),
            ((string)both["form"]!["kind"]!, (string)both["making"]!["kind"]!, (string)both["kind"]!)
        );
        Assert.Equal((string)both["making"]!["clothId"]!, (string)both["cloth"]!["id"]!);
        Assert.Equal((string)both["making"]!["paths"]!["band"]!, (string)both["bandPath"]!);
        using var request = new HttpRequestMessage(HttpMethod.Get, $"/api/projects/{id}/scene");
        request.Headers.Add("Ullet-Shapes", "form-and-making");
        using var answer = await server.Client.SendAsync(request, TestContext.Current.CancellationToken);
        var alone = JsonNode.Parse(await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken))!;
        var element = alone["elements"]![0]!.AsObject();
        Assert.Equal("cloth", (string)element["making"]!["kind"]!);
        Assert.DoesNotContain(
            element,
            field => field.Key is "kind" or "cloth" or "words" or "bandPath" or "isConstruction"
        );
    }

    [Fact]
    public async Task Edit_Undo_AndRedo_AnswerWithTheSceneAfterThem()
    {
        var (id, head) = await server.Blank();
        var (_, added) = await server.Post($"/api/projects/{id}/edits", new { head, edit = TestServer.AddHeart });
        head = (long)added["head"]!;
        Assert.Equal(head, (long)added["scene"]!["head"]!);
        Assert.Single(added["scene"]!["elements"]!.AsArray());
        var (_, undone) = await server.Post($"/api/projects/{id}/undo", new { head });
        Assert.Empty(undone["scene"]!["elements"]!.AsArray());
        Assert.Equal("Add heart", (string)undone["scene"]!["redoLabel"]!);
        var (_, redone) = await server.Post($"/api/projects/{id}/redo", new { head = (long)undone["head"]! });
        Assert.Equal((await server.Get($"/api/projects/{id}/scene")).ToJsonString(), redone["scene"]!.ToJsonString());
    }

    [Fact]
    public async Task ShelfPicture_IsKept_OfTheHeadAlone_AndGoesWithItsProject()
    {
        var (id, head) = await server.Blank();
        var kept = Path.Combine(server.DataFolder, "pictures");
        async Task<HttpStatusCode> Asked(long rev)
        {
            using var answer = await server.Client.GetAsync($"/api/projects/{id}/picture.png?size=480&rev={rev}");
            return answer.StatusCode;
        }
        Assert.Equal(HttpStatusCode.OK, await Asked(head));
        Assert.True(File.Exists(Path.Combine(kept, $"{id}-{head}.png")));
        var next = await server.Edit(id, head, TestServer.AddHeart);
        Assert.Equal(HttpStatusCode.OK, await Asked(next));
        Assert.Equal([$"{id}-{next}.png"], Directory.EnumerateFiles(kept, $"{id}-*").Select(Path.GetFileName));
        (await server.Client.DeleteAsync($"/api/projects/{id}", TestContext.Current.CancellationToken)).Dispose();
        Assert.Equal(HttpStatusCode.NotFound, await Asked(next));
    }

    [Theory]
    [InlineData("picture.png?size=wide", "size")]
    [InlineData("cut.svg?cloth=straw&sheet=first", "sheet")]
    public async Task AnAddress_ThatCantBeRead_SaysWhichValue(string address, string place)
    {
        using var answer = await server.Client.GetAsync(
            $"/api/projects/x/{address}",
            TestContext.Current.CancellationToken
        );
        var body = JsonNode.Parse(await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken))!;
        Assert.Equal((HttpStatusCode.BadRequest, place), (answer.StatusCode, (string)body["place"]!));
        Assert.Contains($"no value that \"{place}\" can have", (string)body["detail"]!, StringComparison.Ordinal);
    }

    private static IEnumerable<string> Kinds(Type union) =>
        union
            .GetCustomAttributes(inherit: false)
            .OfType<JsonDerivedTypeAttribute>()
            .Select(kind => (string)kind.TypeDiscriminator!);
}
