using System.Text;
using Microsoft.EntityFrameworkCore;
using Ullet.Server.Data;

namespace Ullet.Server.Documents;

/// <summary>Takes kept files away that nothing names any more. Fonts that a person added, and did not remove, stay always.</summary>
public sealed class AssetSweep(UlletDb db, TimeProvider clock)
{
    /// <summary>How long files are kept that nothing names.</summary>
    internal static readonly TimeSpan Kept = TimeSpan.FromDays(30);

    /// <summary>A panel that is still open may name a file that was sent so lately.</summary>
    internal static readonly TimeSpan StillOpen = TimeSpan.FromHours(1);

    /// <summary>Kinds that only an import's token names.</summary>
    private static readonly string[] Tokens = ["project"];

    /// <summary>Kinds that documents name.</summary>
    private static readonly string[] Named =
    [
        AssetStore.PictureKind,
        AssetStore.RemovedFontKind,
        StitchDesignShelf.Kind,
        ImportedDrawings.Kind,
    ];

    /// <summary>Removes what nothing names and was sent longer ago than a time.</summary>
    /// <returns>How many files went.</returns>
    internal async Task<int> Run(TimeSpan kept, CancellationToken cancellation)
    {
        var before = clock.GetUtcNow().Subtract(kept).ToUnixTimeMilliseconds();
        var gone = await Unused(before, cancellation);
        foreach (var hash in gone)
        {
            await db.Assets.Where(asset => asset.Sha256 == hash).ExecuteDeleteAsync(cancellation);
        }
        return gone.Count;
    }

    /// <summary>Bytes of what could be removed at once.</summary>
    internal async Task<long> UnusedBytes(CancellationToken cancellation)
    {
        var before = clock.GetUtcNow().Subtract(StillOpen).ToUnixTimeMilliseconds();
        var unused = await Unused(before, cancellation);
        return await db
            .Assets.Where(asset => unused.Contains(asset.Sha256))
            .SumAsync(asset => (long)asset.Bytes.Length, cancellation);
    }

    private async Task<List<string>> Unused(long before, CancellationToken cancellation)
    {
        var old = await db
            .Assets.AsNoTracking()
            .Where(asset => asset.CreatedAt < before && (Tokens.Contains(asset.Kind) || Named.Contains(asset.Kind)))
            .Select(asset => new { asset.Sha256, asset.Kind })
            .ToListAsync(cancellation);
        var unused = old.Where(asset => Tokens.Contains(asset.Kind)).Select(asset => asset.Sha256).ToList();
        var asked = old.Where(asset => Named.Contains(asset.Kind))
            .ToDictionary(
                asset => asset.Sha256,
                asset =>
                    Encoding.UTF8.GetBytes(
                        asset.Kind == AssetStore.RemovedFontKind ? AssetNames.FontId(asset.Sha256) : asset.Sha256
                    ),
                StringComparer.Ordinal
            );
        // What was put on the shelf of drawings brings its cloths' photos along.
        await foreach (
            var sketch in db
                .Assets.AsNoTracking()
                .Where(asset => asset.Kind == AssetStore.SketchKind || asset.Kind == PartShelf.Kind)
                .Select(asset => asset.Bytes)
                .AsAsyncEnumerable()
        )
        {
            Forget(asked, sketch);
        }
        // So do cloths of the stash.
        await foreach (var owned in db.Stash.AsNoTracking().Select(row => row.Json).AsAsyncEnumerable())
        {
            Forget(asked, Encoding.UTF8.GetBytes(owned));
        }
        await foreach (var snapshot in db.Revisions.AsNoTracking().Select(r => r.Snapshot).AsAsyncEnumerable())
        {
            cancellation.ThrowIfCancellationRequested();
            if (asked.Count == 0)
            {
                break;
            }
            // A state that can't be read may name anything: then nothing more is taken for unused.
            if (Snapshot.Json(snapshot) is not { } json)
            {
                asked.Clear();
                break;
            }
            Forget(asked, json);
        }
        unused.AddRange(asked.Keys);
        return unused;
    }

    /// <summary>Asks no more after what a text names.</summary>
    private static void Forget(Dictionary<string, byte[]> asked, byte[] json)
    {
        foreach (var (hash, name) in asked)
        {
            if (json.AsSpan().IndexOf(name) >= 0)
            {
                asked.Remove(hash);
            }
        }
    }
}
