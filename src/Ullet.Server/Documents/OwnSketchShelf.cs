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

/// <summary>The drawings that a person put on the shelf: read when they are first asked for.</summary>
public sealed class OwnSketchShelf(ServerOptions options) : IOwnSketches
{
    /// <summary>Most drawings of a person's own.</summary>
    public const int Most = 500;

    /// <summary>Largest of them, bytes.</summary>
    public const int MostBytes = 2_000_000;

    /// <summary>Ids begin with this; the content's hash follows.</summary>
    private const string Prefix = "own-";

    private const int Digits = 24;

    private readonly Lazy<ConcurrentDictionary<string, Shelved>> _shelf = new(() => Read(options.DataFolder));

    /// <summary>All of them, the newest first.</summary>
    public IReadOnlyList<(string Id, OwnSketch Sketch)> All =>
        [.. _shelf.Value.OrderByDescending(each => each.Value.At).Select(each => (each.Key, each.Value.Sketch))];

    public OwnSketch? Find(string id) => _shelf.Value.GetValueOrDefault(id)?.Sketch;

    /// <summary>Puts a drawing on the shelf for good, or says why it can't be.</summary>
    /// <returns>Its name for ever.</returns>
    internal async Task<Result<string>> Add(OwnSketch sketch, AssetStore assets, CancellationToken cancellation)
    {
        var bytes = JsonSerializer.SerializeToUtf8Bytes(sketch, ProjectJson.Options);
        if (bytes.Length > MostBytes)
        {
            return new Refusal("sketch-too-large", "elementIds", "The drawing has more nodes than the shelf can hold.");
        }
        if (_shelf.Value.Count >= Most)
        {
            return new Refusal(
                "sketches-too-many",
                "name",
                $"The shelf holds {Most} drawings of your own; remove one first."
            );
        }
        var id = IdOf(await assets.Keep(AssetStore.SketchKind, bytes, cancellation));
        _shelf.Value[id] = new Shelved(sketch, assets.Now);
        return id;
    }

    /// <summary>Takes a drawing off the shelf; projects that it was set in keep theirs.</summary>
    /// <returns>False where there is none.</returns>
    internal async Task<bool> Remove(string id, UlletDb db, CancellationToken cancellation)
    {
        if (!_shelf.Value.ContainsKey(id))
        {
            return false;
        }
        var digits = id[Prefix.Length..];
        await db
            .Assets.Where(asset => asset.Kind == AssetStore.SketchKind && asset.Sha256.StartsWith(digits))
            .ExecuteDeleteAsync(cancellation);
        return _shelf.Value.TryRemove(id, out _);
    }

    private static string IdOf(string sha256) => Prefix + sha256[..Digits];

    private static ConcurrentDictionary<string, Shelved> Read(string dataFolder)
    {
        using var connection = PlainSql.Open(dataFolder);
        var rows = PlainSql.Rows(
            connection,
            $"SELECT Sha256, Bytes, CreatedAt FROM Assets WHERE Kind = '{AssetStore.SketchKind}'",
            row => (Sha256: row.GetString(0), Bytes: row.GetFieldValue<byte[]>(1), At: row.GetInt64(2))
        );
        var shelf = new ConcurrentDictionary<string, Shelved>(StringComparer.Ordinal);
        foreach (var (sha256, bytes, at) in rows)
        {
            if (Sketch(sha256, bytes) is { } sketch)
            {
                shelf[IdOf(sha256)] = new Shelved(sketch, at);
            }
        }
        return shelf;
    }

    /// <summary>A drawing as it was kept; null where its bytes are not those that were kept.</summary>
    private static OwnSketch? Sketch(string sha256, byte[] bytes) =>
        Convert.ToHexStringLower(SHA256.HashData(bytes)) == sha256
            ? JsonSerializer.Deserialize<OwnSketch>(bytes, ProjectJson.Options)
            : null;

    private sealed record Shelved(OwnSketch Sketch, long At);
}
