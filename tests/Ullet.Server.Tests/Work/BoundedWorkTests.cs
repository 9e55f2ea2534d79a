using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests.Work;

/// <summary>Inputs that kept a core busy for good, or took all memory: each is answered, and the server goes on.</summary>
public sealed class BoundedWorkTests(TestServer server) : IClassFixture<TestServer>
{
    private const string Circle = "<circle cx=\"50\" cy=\"50\" r=\"40\"/>";

    [Theory]
    [InlineData(Circle + Circle + "<circle cx=\"50\" cy=\"50\" r=\"5\"/>", 2)]
    [InlineData(Circle + Circle, 1)]
    [InlineData(Circle + Circle + Circle, 1)]
    [InlineData("<path d=\"M10 10h30v30h-30z\"/><path d=\"M40 40h-30v-30h30z\"/>", 1)]
    [InlineData("<path d=\"M10 10h30\"/><path d=\"M40 10h-30\"/>", 1)]
    public async Task LinesThatLieOnOneAnother_AreCutOnce_AndSaid(string lines, int cut)
    {
        var (status, run) = await DryRun(lines);
        Assert.Equal(200, status);
        Assert.Equal(cut, run["lines"]!.AsArray().Count);
        Assert.Contains("cut once", (string)run["warnings"]![0]!, StringComparison.Ordinal);
    }

    [Fact]
    public async Task LinesBesideOneAnother_AreAllCut()
    {
        var (_, run) = await DryRun(
            Circle + "<circle cx=\"50\" cy=\"50\" r=\"39.6\"/><circle cx=\"50.4\" cy=\"50\" r=\"40\"/>"
        );
        Assert.Equal(3, run["lines"]!.AsArray().Count);
        Assert.Empty(run["warnings"]!.AsArray());
    }

    public static TheoryData<string, string> Wild =>
        new()
        {
            {
                "a.svg",
                Svg(
                    string.Concat(Enumerable.Repeat("<g>", 100_000)) + string.Concat(Enumerable.Repeat("</g>", 100_000))
                )
            },
            { "a.svg", Svg(Circle).Replace("100mm", "1e308mm", StringComparison.Ordinal) },
            { "a.svg", Svg(Circle).Replace("0 0 100 100", "0 0 1e-320 1e-320", StringComparison.Ordinal) },
            { "a.svg", Svg("<path d=\"M0 0L1e300 5z\"/>") },
            { "a.dxf", Dxf("40\n1e300") },
            { "a.dxf", Dxf("40\n1e-310") },
        };

    [Theory]
    [MemberData(nameof(Wild))]
    public async Task FilesBeyondMeasure_AreRefusedWithTheirPlace(string name, string text)
    {
        using var form = new MultipartFormDataContent
        {
            { new ByteArrayContent(Encoding.UTF8.GetBytes(text)), "file", name },
        };
        using var answer = await server.Client.PostAsync("/api/import", form);
        var problem = (await answer.Content.ReadFromJsonAsync<JsonNode>())!;
        Assert.Equal(400, (int)answer.StatusCode);
        Assert.NotEqual("file", (string)problem["place"]!);
    }

    [Fact]
    public async Task NamesWithEveryLineEnd_LeaveByEveryDoor()
    {
        var (id, head) = await server.Blank("Plot\u202814\u2029a\u0085b\tc\u202ed");
        head = await server.Edit(
            id,
            head,
            new
            {
                edit = "addPiece",
                shape = new { form = "heart" },
                name = "beet\u2028leaf\u0007",
                method = "cutBeforehand",
            }
        );
        var scene = await server.Get($"/api/projects/{id}/scene");
        Assert.Equal("Plot 14 a b cd", (string)scene["title"]!);
        Assert.Equal("beet leaf", (string)scene["elements"]![0]!["name"]!);
        foreach (
            var path in new[]
            {
                "program.ulst",
                "project.ullet",
                "instructions.pdf",
                "packet.zip",
                "cut.svg",
                "cut.dxf",
                "cut.eps",
                "cut.pdf",
                "cut.png",
                "scissors.pdf",
                "size-card.pdf",
            }
        )
        {
            using var answer = await server.Client.GetAsync($"/api/projects/{id}/{path}");
            Assert.True(answer.IsSuccessStatusCode, path);
            Assert.DoesNotContain(answer.Content.Headers.ContentDisposition!.ToString(), c => char.IsControl(c));
        }
    }

    [Fact]
    public async Task UploadOverItsLimit_GetsItsSentence()
    {
        using var content = new StreamContent(new Zeros(60_000_000));
        using var answer = await server.Client.PostAsync("/api/devices/machine/rehearse", content);
        var problem = (await answer.Content.ReadFromJsonAsync<JsonNode>())!;
        Assert.Equal((413, "too-large"), ((int)answer.StatusCode, (string)problem["code"]!));
    }

    private async Task<(int Status, JsonNode Body)> DryRun(string lines)
    {
        using var content = new StringContent(Svg(lines), Encoding.UTF8, "image/svg+xml");
        using var answer = await server.Client.PostAsync("/api/devices/cutter/dry-run", content);
        return ((int)answer.StatusCode, (await answer.Content.ReadFromJsonAsync<JsonNode>())!);
    }

    private static string Svg(string inner) =>
        $"<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"100mm\" height=\"100mm\" viewBox=\"0 0 100 100\">{inner}</svg>";

    private static string Dxf(string radius) =>
        $"0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n8\n0\n10\n0\n20\n0\n{radius}\n0\nENDSEC\n0\nEOF\n";

    /// <summary>So many zero bytes, sent without telling their number beforehand.</summary>
    private sealed class Zeros(long length) : Stream
    {
        private long _at;

        public override bool CanRead => true;

        public override bool CanSeek => false;

        public override bool CanWrite => false;

        public override long Length => throw new NotSupportedException();

        public override long Position
        {
            get => _at;
            set => throw new NotSupportedException();
        }

        public override int Read(byte[] buffer, int offset, int count)
        {
            var read = (int)Math.Min(count, length - _at);
            Array.Clear(buffer, offset, read);
            _at += read;
            return read;
        }

        public override void Flush() { }

        public override long Seek(long offset, SeekOrigin origin) => throw new NotSupportedException();

        public override void SetLength(long value) => throw new NotSupportedException();

        public override void Write(byte[] buffer, int offset, int count) => throw new NotSupportedException();
    }
}
