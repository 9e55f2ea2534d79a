using System.IO.Compression;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Ullet.Server.Tests.Replay;

/// <summary>A request as 0.6 was asked it, and what it answered.</summary>
/// <param name="Method">GET, POST, DELETE.</param>
/// <param name="Url">Path and query.</param>
/// <param name="Type">Media type of the body, or null.</param>
/// <param name="Body">The body in Base64, or null.</param>
/// <param name="Status">The status that was answered.</param>
/// <param name="Answer">The answer where it gives ids that later requests name; null else.</param>
/// <param name="Shape">The names of all properties of the answer; null for none.</param>
internal sealed record RecordedRequest(
    string Method,
    string Url,
    string? Type,
    string? Body,
    int Status,
    JsonNode? Answer,
    List<string>? Shape
)
{
    internal static IEnumerable<RecordedRequest> In(string file)
    {
        using var stream = new GZipStream(File.OpenRead(file), CompressionMode.Decompress);
        using var text = new StreamReader(stream);
        while (text.ReadLine() is { } line)
        {
            if (line.Length > 0)
            {
                yield return JsonSerializer.Deserialize<RecordedRequest>(line, JsonSerializerOptions.Web)!;
            }
        }
    }
}

/// <summary>The ids and heads that this server gave in the place of those that 0.6 gave.</summary>
internal sealed class GivenIds
{
    private readonly Dictionary<string, string> _texts = new(StringComparer.Ordinal);
    private readonly Dictionary<long, long> _heads = [];

    /// <summary>Notes what took the place of ids and heads in an answer.</summary>
    internal void Note(JsonNode? then, JsonNode? now)
    {
        if (then is JsonObject old && now is JsonObject given)
        {
            foreach (var (name, value) in old)
            {
                if (name is "head" && value is not null && given[name] is { } head)
                {
                    _heads[(long)value] = (long)head;
                }
                Note(value, given[name]);
            }
        }
        else if (then is JsonArray list && now is JsonArray others)
        {
            // A shelf lists what was changed last first, whatever the order in which ids were given.
            foreach (var (one, other) in Paired(list, others))
            {
                Note(one, other);
            }
        }
        else if (
            then is JsonValue text
            && text.TryGetValue(out string? id)
            && now is JsonValue another
            && another.TryGetValue(out string? own)
            && id != own
            && IsId(id)
        )
        {
            _texts[id] = own;
        }
    }

    /// <summary>The text with ids of this server.</summary>
    internal string In(string text)
    {
        foreach (var (old, own) in _texts)
        {
            text = text.Replace(old, own, StringComparison.Ordinal);
        }
        return text;
    }

    /// <summary>The head that this server gave.</summary>
    internal long Head(long old) => _heads.GetValueOrDefault(old, old);

    /// <summary>Projects by their titles and steps by their keys: what is made by a later making of a pattern has other steps.</summary>
    private static IEnumerable<(JsonNode?, JsonNode?)> Paired(JsonArray then, JsonArray now) =>
        then.Select((one, i) => (one, Same(one, now, "title") ?? Same(one, now, "key") ?? now.ElementAtOrDefault(i)));

    private static JsonNode? Same(JsonNode? one, JsonArray now, string by) =>
        one is JsonObject named && named[by] is { } name
            ? now.FirstOrDefault(other => other is JsonObject known && JsonNode.DeepEquals(known[by], name))
            : null;

    private static bool IsId(string text) => text.Length is >= 24 and <= 80 && text.All(char.IsAsciiHexDigitLower);
}
