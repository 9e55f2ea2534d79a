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

    /// <summary>Ids of added fonts begin with this; the font's hash follows.</summary>
    private const string FontPrefix = "own-";

    /// <summary>The id by which documents name a font that was added.</summary>
    internal static string FontId(string sha256) => FontPrefix + sha256[..24];

    /// <summary>Keeps bytes; the same bytes are kept once.</summary>
    /// <returns>Their hash, 64 hexadecimal digits.</returns>
    internal async Task<string> Keep(string kind, byte[] bytes, CancellationToken cancellation)
    {
        var hash = Convert.ToHexStringLower(SHA256.HashData(bytes));
        var known = await db.Assets.FirstOrDefaultAsync(asset => asset.Sha256 == hash, cancellation);
        if (known is null)
        {
            db.Assets.Add(
                new AssetRow
                {
                    Sha256 = hash,
                    Kind = kind,
                    Bytes = bytes,
                    CreatedAt = clock.GetUtcNow().ToUnixTimeMilliseconds(),
                }
            );
        }
        else
        {
            known.Kind = kind;
        }
        await db.SaveChangesAsync(cancellation);
        return hash;
    }

    internal Task<AssetRow?> Find(string sha256, CancellationToken cancellation) =>
        db.Assets.AsNoTracking().FirstOrDefaultAsync(asset => asset.Sha256 == sha256, cancellation);

    /// <summary>Adds a font to the installation, or says why it can't be.</summary>
    internal async Task<Result<FontEntry>> AddFont(byte[] file, CancellationToken cancellation)
    {
        var id = FontId(Convert.ToHexStringLower(SHA256.HashData(file)));
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
        var row = (await FontRows(cancellation)).Find(asset => FontId(asset.Sha256) == id && asset.Kind == FontKind);
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
            needed += snapshots.Any(snapshot => Names(Snapshot.Unpack(snapshot), id)) ? 1 : 0;
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

    /// <summary>Loads the added fonts at the start.</summary>
    internal async Task PutFontsOnShelf(CancellationToken cancellation)
    {
        foreach (var row in await FontRows(cancellation))
        {
            fonts.Add(FontId(row.Sha256), row.Bytes, listed: row.Kind == FontKind);
        }
    }

    /// <summary>The added fonts and the pictures that a document names, as far as they are there.</summary>
    internal async Task<List<ProjectAsset>> Of(Project project, CancellationToken cancellation)
    {
        var pictures = project
            .Cloths.Select(cloth => cloth.Swatch?.AssetId)
            .Concat(project.Cut.Cloths.Select(cut => cut.Photo?.Picture))
            .OfType<string>()
            .Distinct()
            .ToList();
        var rows = await db
            .Assets.AsNoTracking()
            .Where(asset => pictures.Contains(asset.Sha256))
            .ToListAsync(cancellation);
        var found = rows.Where(row => row.Kind == PictureKind)
            .Select(row => new ProjectAsset(row.Sha256, PictureKind, row.Bytes))
            .ToList();
        found.AddRange(
            (await FontRows(cancellation))
                .Where(row => Names(project, FontId(row.Sha256)))
                .Select(row => new ProjectAsset(row.Sha256, FontKind, row.Bytes))
        );
        return found;
    }

    private Task<List<AssetRow>> FontRows(CancellationToken cancellation) =>
        db.Assets.Where(asset => asset.Kind == FontKind || asset.Kind == RemovedFontKind).ToListAsync(cancellation);

    private static bool Names(Project project, string fontId) =>
        project.Elements.OfType<Words>().Any(words => words.FontId == fontId);
}
