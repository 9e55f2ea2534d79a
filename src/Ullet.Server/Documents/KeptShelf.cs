using System.Collections.Concurrent;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Edits;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Hosting;

namespace Ullet.Server.Documents;

/// <summary>A hoop that somebody owns, kept for all projects.</summary>
/// <param name="Id">Names it.</param>
/// <param name="Hoop">Its name, field, middle and margins.</param>
public sealed record OwnHoop(string Id, Hoop Hoop);

/// <summary>What an installation remembers beside its projects: hoops that somebody owns, and how kinds of cloth were cut last. Read
/// when it is first asked for.</summary>
public sealed class KeptShelf(ServerOptions options, TimeProvider clock) : IKeptCuts
{
    /// <summary>Most hoops of an installation.</summary>
    public const int MostHoops = 100;

    private const string HoopKind = "hoop";

    private const string CutKind = "cut";

    private const string MetKind = "met";

    private readonly Lazy<ConcurrentDictionary<(string Kind, string Key), string>> _kept = new(() =>
        Read(options.DataFolder)
    );

    /// <summary>The hoops, by their names.</summary>
    public IReadOnlyList<OwnHoop> Hoops =>
        [
            .. _kept
                .Value.Where(pair => pair.Key.Kind == HoopKind)
                .Select(pair => new OwnHoop(
                    pair.Key.Key,
                    JsonSerializer.Deserialize<Hoop>(pair.Value, ProjectJson.Options)!
                ))
                .OrderBy(own => own.Hoop.Name, StringComparer.OrdinalIgnoreCase),
        ];

    public KeptCut? Find(ClothKind kind) =>
        _kept.Value.TryGetValue((CutKind, kind.ToString()), out var json)
            ? JsonSerializer.Deserialize<KeptCut>(json, ProjectJson.Options)
            : null;

    /// <summary>What was explained and understood: stages, by their ids.</summary>
    public IReadOnlyList<string> Met =>
        [.. _kept.Value.Keys.Where(key => key.Kind == MetKind).Select(key => key.Key).Order(StringComparer.Ordinal)];

    /// <summary>Remembers that something need not be explained again.</summary>
    internal Task Meet(string what, UlletDb db, CancellationToken cancellation) =>
        Write(MetKind, what, "true", db, cancellation);

    /// <summary>Keeps a hoop for good: a new one, or others numbers for one that is there; or says why it can't be.</summary>
    internal async Task<Result<OwnHoop>> Keep(string? id, Hoop hoop, UlletDb db, CancellationToken cancellation)
    {
        if (hoop.Check() is { } refusal)
        {
            return refusal;
        }
        if (id is not null && !_kept.Value.ContainsKey((HoopKind, id)))
        {
            return NoHoop(id);
        }
        if (id is null && Hoops.Count >= MostHoops)
        {
            return new Refusal("hoops-too-many", "name", $"{MostHoops} hoops of your own are kept; remove one first.");
        }
        var own = new OwnHoop(id ?? Guid.CreateVersion7().ToString("N"), hoop);
        await Write(HoopKind, own.Id, JsonSerializer.Serialize(hoop, ProjectJson.Options), db, cancellation);
        return own;
    }

    /// <summary>The refusal for a hoop that is not there.</summary>
    internal static Refusal NoHoop(string id) =>
        new("hoop-unknown", "hoopId", $"There is no hoop \"{id}\" of your own.") { Kind = RefusalKind.NotFound };

    /// <summary>Forgets a hoop; projects that use it keep theirs.</summary>
    /// <returns>False where there is none.</returns>
    internal async Task<bool> Forget(string id, UlletDb db, CancellationToken cancellation)
    {
        var gone = await db.Kept.Where(row => row.Kind == HoopKind && row.Key == id).ExecuteDeleteAsync(cancellation);
        return _kept.Value.TryRemove((HoopKind, id), out _) || gone > 0;
    }

    /// <summary>Remembers how a kind of cloth is cut.</summary>
    internal Task Remember(ClothKind kind, KeptCut cut, UlletDb db, CancellationToken cancellation) =>
        Write(CutKind, kind.ToString(), JsonSerializer.Serialize(cut, ProjectJson.Options), db, cancellation);

    private async Task Write(string kind, string key, string json, UlletDb db, CancellationToken cancellation)
    {
        var now = clock.GetUtcNow().ToUnixTimeMilliseconds();
        await db.Database.ExecuteSqlAsync(
            $"INSERT INTO Kept (Kind, Key, Json, At) VALUES ({kind}, {key}, {json}, {now}) ON CONFLICT (Kind, Key) DO UPDATE SET Json = excluded.Json, At = excluded.At",
            cancellation
        );
        _kept.Value[(kind, key)] = json;
    }

    private static ConcurrentDictionary<(string Kind, string Key), string> Read(string dataFolder)
    {
        using var connection = PlainSql.Open(dataFolder);
        var rows = PlainSql.Rows(
            connection,
            "SELECT Kind, Key, Json FROM Kept",
            row => (Kind: row.GetString(0), Key: row.GetString(1), Json: row.GetString(2))
        );
        return new ConcurrentDictionary<(string Kind, string Key), string>(
            rows.Select(row => KeyValuePair.Create((row.Kind, row.Key), row.Json))
        );
    }
}
