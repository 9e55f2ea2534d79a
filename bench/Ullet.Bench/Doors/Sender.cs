using System.Globalization;
using System.Net.Http.Headers;

namespace Ullet.Bench.Doors;

/// <summary>Sends requests and notes their answers.</summary>
internal sealed class Sender(Uri address, Tally tally) : IDisposable
{
    private readonly HttpClient _client = new() { BaseAddress = address, Timeout = TimeSpan.FromSeconds(100) };

    internal async Task<(int Status, byte[] Body)> Send(
        HttpMethod method,
        string path,
        HttpContent? content,
        string input
    )
    {
        using var request = new HttpRequestMessage(method, path) { Content = content };
        try
        {
            using var answer = await _client.SendAsync(request);
            var body = await answer.Content.ReadAsByteArrayAsync();
            var text = answer.IsSuccessStatusCode ? "" : System.Text.Encoding.UTF8.GetString(body);
            tally.Note((int)answer.StatusCode, Own(answer), input, text);
            return ((int)answer.StatusCode, body);
        }
        catch (Exception wrong) when (wrong is HttpRequestException or TaskCanceledException)
        {
            tally.Note(0, 0, input, wrong.Message);
            return (0, []);
        }
    }

    internal Task<(int Status, byte[] Body)> Upload(string path, string name, byte[] file, string input)
    {
        var part = new ByteArrayContent(file);
        part.Headers.ContentType = new MediaTypeHeaderValue("application/octet-stream");
        return Send(
            HttpMethod.Post,
            path,
            new MultipartFormDataContent { { part, path == "/api/stitches" ? "files" : "file", name } },
            input
        );
    }

    internal Task<(int Status, byte[] Body)> Json(string path, string json, string input) =>
        Send(HttpMethod.Post, path, new StringContent(json, System.Text.Encoding.UTF8, "application/json"), input);

    public void Dispose() => _client.Dispose();

    private static double Own(HttpResponseMessage answer) =>
        answer.Headers.TryGetValues("Server-Timing", out var values)
        && double.TryParse(values.First().Split('=')[^1], NumberStyles.Float, CultureInfo.InvariantCulture, out var own)
            ? own
            : 0;
}
