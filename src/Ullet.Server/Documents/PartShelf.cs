using System.Collections.Concurrent;
using System.Security.Cryptography;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Edits;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Hosting;

namespace Ullet.Server.Documents;

/// <summary>The parts that a household keeps: read when they are first asked for.</summary>
public sealed class PartShelf(ServerOptions options) : IKeptParts
{
    internal const string Kind = "part";

    /// <summary>Most parts.</summary>
    public const int Most = 500;

    /// <summary>Largest of them, bytes.</summary>
    public const int MostBytes = 8_000_000;

    private const int Digits = 24;

    private readonly Lazy<ConcurrentDictionary<string, Shelved>> _shelf = new(() => Read(options.DataFolder));

    /// <summary>All of them, the newest first.</summary>
    public IReadOnlyList<(string Id, Part Part)> All =>
        [.. _shelf.Value.OrderByDescending(each => each.Value.At).Select(each => (each.Key, each.Value.Part))];

    public Part? Find(string id) => _shelf.Value.GetValueOrDefault(id)?.Part;

    /// <summary>Keeps a part for good, or says why it can't be.</summary>
    /// <returns>Its name for ever.</returns>
    internal async Task<Result<string>> Add(Part part, AssetStore assets, CancellationToken cancellation)
    {
        var bytes = JsonSerializer.SerializeToUtf8Bytes(part, ProjectJson.Options);
        if (bytes.Length > MostBytes)
        {
            return new Refusal(
                "part-too-large",
                "elementIds",
                $"A part may have up to {MostBytes / 1_000_000} MB; this one has {bytes.Length / 1e6:0.0}."
            );
        }
        if (_shelf.Value.Count >= Most)
        {
            return new Refusal("parts-too-many", "name", $"The shelf holds {Most} parts; remove one first.");
        }
        var id = (await assets.Keep(Kind, bytes, cancellation))[..Digits];
        _shelf.Value[id] = new Shelved(part, assets.Now);
        return id;
    }

    /// <summary>Takes a part off the shelf; projects that it was dropped into keep theirs.</summary>
    /// <returns>False where there is none.</returns>
    internal async Task<bool> Remove(string id, UlletDb db, CancellationToken cancellation)
    {
        if (!_shelf.Value.ContainsKey(id))
        {
            return false;
        }
        await db
            .Assets.Where(asset => asset.Kind == Kind && asset.Sha256.StartsWith(id))
            .ExecuteDeleteAsync(cancellation);
        return _shelf.Value.TryRemove(id, out _);
    }

    private static ConcurrentDictionary<string, Shelved> Read(string dataFolder)
    {
        using var connection = PlainSql.Open(dataFolder);
        var rows = PlainSql.Rows(
            connection,
            $"SELECT Sha256, Bytes, CreatedAt FROM Assets WHERE Kind = '{Kind}'",
            row => (Sha256: row.GetString(0), Bytes: row.GetFieldValue<byte[]>(1), At: row.GetInt64(2))
        );
        var shelf = new ConcurrentDictionary<string, Shelved>(StringComparer.Ordinal);
        foreach (var (sha256, bytes, at) in rows)
        {
            if (
                Convert.ToHexStringLower(SHA256.HashData(bytes)) == sha256
                && JsonSerializer.Deserialize<Part>(bytes, ProjectJson.Options) is { } part
            )
            {
                shelf[sha256[..Digits]] = new Shelved(part, at);
            }
        }
        return shelf;
    }

    private sealed record Shelved(Part Part, long At);
}
