using System.Collections.Concurrent;
using System.Security.Cryptography;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;

namespace Ullet.Server.Documents;

/// <summary>Things that a household keeps among its files, each named by its content: read when they are first asked for.</summary>
/// <typeparam name="T">What is kept.</typeparam>
/// <param name="dataFolder">Where the database is.</param>
/// <param name="kind">The kind of its files.</param>
/// <param name="prefix">What ids begin with; the content's hash follows.</param>
public abstract class ContentShelf<T>(string dataFolder, string kind, string prefix)
    where T : class
{
    private const int Digits = 24;

    private readonly Lazy<ConcurrentDictionary<string, Shelved>> _shelf = new(() => Read(dataFolder, kind, prefix));

    /// <summary>All of them, the newest first.</summary>
    private protected IEnumerable<(string Id, T Thing)> Newest =>
        _shelf.Value.OrderByDescending(each => each.Value.At).Select(each => (each.Key, each.Value.Thing));

    public T? Find(string id) => _shelf.Value.GetValueOrDefault(id)?.Thing;

    /// <summary>Keeps a thing for good, or says why it can't be.</summary>
    /// <param name="thing">What is kept.</param>
    /// <param name="mostBytes">Largest of them, bytes.</param>
    /// <param name="most">Most of them.</param>
    /// <param name="tooLarge">Says that it is larger.</param>
    /// <param name="tooMany">Says that there are as many.</param>
    /// <param name="assets">Where its file goes.</param>
    /// <param name="cancellation">Ends it.</param>
    /// <returns>Its name for ever.</returns>
    private protected async Task<Result<string>> Add(
        T thing,
        int mostBytes,
        int most,
        Func<int, Refusal> tooLarge,
        Func<Refusal> tooMany,
        AssetStore assets,
        CancellationToken cancellation
    )
    {
        var bytes = JsonSerializer.SerializeToUtf8Bytes(thing, ProjectJson.Options);
        if (bytes.Length > mostBytes)
        {
            return tooLarge(bytes.Length);
        }
        if (_shelf.Value.Count >= most)
        {
            return tooMany();
        }
        var id = IdOf(await assets.Keep(kind, bytes, cancellation), prefix);
        _shelf.Value[id] = new Shelved(thing, assets.Now);
        return id;
    }

    /// <summary>Takes a thing off the shelf; projects that have it keep theirs.</summary>
    /// <returns>False where there is none.</returns>
    internal async Task<bool> Remove(string id, UlletDb db, CancellationToken cancellation)
    {
        if (!_shelf.Value.ContainsKey(id))
        {
            return false;
        }
        var digits = id[prefix.Length..];
        await db
            .Assets.Where(asset => asset.Kind == kind && asset.Sha256.StartsWith(digits))
            .ExecuteDeleteAsync(cancellation);
        return _shelf.Value.TryRemove(id, out _);
    }

    private static string IdOf(string sha256, string prefix) => prefix + sha256[..Digits];

    private static ConcurrentDictionary<string, Shelved> Read(string dataFolder, string kind, string prefix)
    {
        using var connection = PlainSql.Open(dataFolder);
        var rows = PlainSql.Rows(
            connection,
            $"SELECT Sha256, Bytes, CreatedAt FROM Assets WHERE Kind = '{kind}'",
            row => (Sha256: row.GetString(0), Bytes: row.GetFieldValue<byte[]>(1), At: row.GetInt64(2))
        );
        var shelf = new ConcurrentDictionary<string, Shelved>(StringComparer.Ordinal);
        foreach (var (sha256, bytes, at) in rows)
        {
            if (Thing(sha256, bytes) is { } thing)
            {
                shelf[IdOf(sha256, prefix)] = new Shelved(thing, at);
            }
        }
        return shelf;
    }

    /// <summary>A thing as it was kept; null where its bytes are not those that were kept.</summary>
    private static T? Thing(string sha256, byte[] bytes) =>
        Convert.ToHexStringLower(SHA256.HashData(bytes)) == sha256
            ? JsonSerializer.Deserialize<T>(bytes, ProjectJson.Options)
            : null;

    private sealed record Shelved(T Thing, long At);
}
