using System.Security.Cryptography;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Fonts;
using Ullet.Files.ProjectFiles;
using Ullet.Server.Data;

namespace Ullet.Server.Documents;

/// <summary>Files that came from outside: kept by their content, fonts put on the shelf.</summary>
public sealed class AssetStore(UlletDb db, FontShelf fonts, TimeProvider clock)
{
    internal const string FontKind = "font";
    internal const string RemovedFontKind = "font-removed";
    internal const string PictureKind = "picture";
    internal const string SketchKind = "sketch";

    /// <summary>Unix time, ms.</summary>
    internal long Now => clock.GetUtcNow().ToUnixTimeMilliseconds();

    /// <summary>Keeps bytes; the same bytes are kept once.</summary>
    /// <returns>Their hash, 64 hexadecimal digits.</returns>
    internal async Task<string> Keep(string kind, byte[] bytes, CancellationToken cancellation)
    {
        var hash = Convert.ToHexStringLower(SHA256.HashData(bytes));
        var now = Now;
        // One statement: the same file sent twice at once is kept once, and both are told so.
        await db.Database.ExecuteSqlInterpolatedAsync(
            $"""
            INSERT INTO "Assets" ("Sha256", "Kind", "Bytes", "CreatedAt") VALUES ({hash}, {kind}, {bytes}, {now})
            ON CONFLICT ("Sha256") DO UPDATE SET "Kind" = excluded."Kind", "CreatedAt" = excluded."CreatedAt"
            """,
            cancellation
        );
        return hash;
    }

    internal Task<AssetRow?> Find(string sha256, CancellationToken cancellation) =>
        db.Assets.AsNoTracking().FirstOrDefaultAsync(asset => asset.Sha256 == sha256, cancellation);

    /// <summary>Adds a font to the installation, or says why it can't be.</summary>
    internal async Task<Result<FontEntry>> AddFont(byte[] file, CancellationToken cancellation)
    {
        var id = AssetNames.FontId(Convert.ToHexStringLower(SHA256.HashData(file)));
        var added = fonts.Add(id, file);
        if (added.IsOk)
        {
            await Keep(FontKind, file, cancellation);
        }
        return added;
    }

    /// <summary>Takes a font out of the choice. It stays for the documents that name it, in any of their revisions.</summary>
    /// <returns>How many projects still need it, or why it can't be removed.</returns>
    internal async Task<Result<int>> RemoveFont(string id, CancellationToken cancellation)
    {
        var row = (await FontRows(cancellation)).Find(asset =>
            AssetNames.FontId(asset.Sha256) == id && asset.Kind == FontKind
        );
        if (row is null)
        {
            return new Refusal("font-unknown", "id", "Only fonts that you added can be removed; this is none of them.");
        }
        var needed = 0;
        foreach (var project in await db.Projects.AsNoTracking().Select(p => p.Id).ToListAsync(cancellation))
        {
            var snapshots = await db
                .Revisions.AsNoTracking()
                .Where(revision => revision.ProjectId == project)
                .Select(revision => revision.Snapshot)
                .ToListAsync(cancellation);
            needed += snapshots.Any(snapshot =>
                Snapshot.TryUnpack(snapshot, out var named, out _) && AssetNames.NamesFont(named!, id)
            )
                ? 1
                : 0;
        }
        row.Kind = RemovedFontKind;
        if (needed == 0)
        {
            db.Assets.Remove(row);
        }
        await db.SaveChangesAsync(cancellation);
        fonts.Remove(id, needed > 0);
        return needed;
    }

    /// <summary>The added fonts and the pictures that a document names, as far as they are there.</summary>
    internal async Task<List<ProjectAsset>> Of(Project project, CancellationToken cancellation)
    {
        var pictures = AssetNames.Pictures(project).Distinct().ToList();
        var rows = await db
            .Assets.AsNoTracking()
            .Where(asset => pictures.Contains(asset.Sha256))
            .ToListAsync(cancellation);
        var found = rows.Where(row => row.Kind == PictureKind)
            .Select(row => new ProjectAsset(row.Sha256, PictureKind, row.Bytes))
            .ToList();
        var stitches = AssetNames.Stitches(project).Distinct().ToList();
        var files = await db
            .Assets.AsNoTracking()
            .Where(asset => stitches.Contains(asset.Sha256))
            .ToListAsync(cancellation);
        found.AddRange(
            files
                .Where(row => row.Kind is StitchDesignShelf.Kind or ImportedDrawings.Kind)
                .Select(row => new ProjectAsset(row.Sha256, StitchDesignShelf.Kind, row.Bytes))
        );
        found.AddRange(
            (await FontRows(cancellation))
                .Where(row => AssetNames.NamesFont(project, AssetNames.FontId(row.Sha256)))
                .Select(row => new ProjectAsset(row.Sha256, FontKind, row.Bytes))
        );
        return found;
    }

    /// <summary>The pictures among what a document names, by their SHA-256.</summary>
    internal static Dictionary<string, byte[]> PicturesOf(IEnumerable<ProjectAsset> assets) =>
        assets
            .Where(asset => asset.Kind == PictureKind)
            .ToDictionary(asset => asset.Sha256, asset => asset.Bytes, StringComparer.Ordinal);

    private Task<List<AssetRow>> FontRows(CancellationToken cancellation) =>
        db.Assets.Where(asset => asset.Kind == FontKind || asset.Kind == RemovedFontKind).ToListAsync(cancellation);
}
