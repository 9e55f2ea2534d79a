using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class ColourwayApiTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task AColourway_HasAPicture_InItsColours_AndTheProjectStaysAsItIs()
    {
        var (id, head) = await server.Blank();
        head = await server.Edit(id, head, TestServer.AddHeart);
        head = await server.Edit(id, head, new { edit = "keepColourway", name = "Summer" });
        var kept = (await server.Get($"/api/projects/{id}/scene"))["colourways"]![0]!;
        Assert.True((bool)kept["isWorn"]!);
        var address = $"/api/projects/{id}/colourways/{kept["id"]}/picture.png";
        var summer = await Picture(address);
        // The ground changes; the picture of what was kept does not.
        var ground = (await server.Get($"/api/projects/{id}/scene"))["cloths"]![0]!;
        ground["colour"] = "#123456";
        await server.Edit(id, head, new { edit = "changeCloth", cloth = ground });
        Assert.Equal(summer, await Picture(address));
        var scene = await server.Get($"/api/projects/{id}/scene");
        Assert.Equal("#123456", (string)scene["cloths"]![0]!["colour"]!);
        Assert.False((bool)scene["colourways"]![0]!["isWorn"]!);
        var missing = await server.Client.GetAsync(
            $"/api/projects/{id}/colourways/c99/picture.png",
            TestContext.Current.CancellationToken
        );
        Assert.Equal(404, (int)missing.StatusCode);
    }

    private async Task<byte[]> Picture(string address)
    {
        var png = await server.Client.GetByteArrayAsync(address, TestContext.Current.CancellationToken);
        Assert.Equal((byte[])[0x89, 0x50, 0x4E, 0x47], png[..4]);
        return png;
    }
}
