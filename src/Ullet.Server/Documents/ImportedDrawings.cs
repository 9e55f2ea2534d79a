using System.Collections.Concurrent;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Drawings;
using Ullet.Files.Drawings;
using Ullet.Server.Data;

namespace Ullet.Server.Documents;

/// <summary>Drawings among the kept files; the last few stay read.</summary>
internal sealed class ImportedDrawings(UlletDb db) : IImportedDrawings
{
    internal const string Kind = "drawing";

    private const int MostKept = 16;

    private static readonly ConcurrentDictionary<string, Drawing> Kept = new(StringComparer.Ordinal);

    public Drawing? Find(string token)
    {
        if (Kept.TryGetValue(token, out var known))
        {
            return known;
        }
        var row = db.Assets.AsNoTracking().FirstOrDefault(asset => asset.Sha256 == token && asset.Kind == Kind);
        if (row is null || DrawingFiles.Read(row.Bytes) is not { IsOk: true, Value: var drawing })
        {
            return null;
        }
        if (Kept.Count >= MostKept)
        {
            Kept.Clear();
        }
        return Kept[token] = drawing;
    }
}
