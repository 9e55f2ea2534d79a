using Microsoft.EntityFrameworkCore;
using Ullet.Core.Drawings;
using Ullet.Files.Drawings;
using Ullet.Server.Data;

namespace Ullet.Server.Documents;

/// <summary>Drawings among the kept files; the last few stay read.</summary>
internal sealed class ImportedDrawings(UlletDb db) : IImportedDrawings
{
    internal const string Kind = "drawing";

    /// <summary>The most that is kept read, bytes.</summary>
    private const long MostBytes = 32_000_000;

    private static readonly Lock Gate = new();
    private static readonly LinkedList<(string Token, Drawing Drawing, long Bytes)> Kept = new();

    public Drawing? Find(string token)
    {
        lock (Gate)
        {
            foreach (var known in Kept)
            {
                if (known.Token == token)
                {
                    return known.Drawing;
                }
            }
        }
        var row = db.Assets.AsNoTracking().FirstOrDefault(asset => asset.Sha256 == token && asset.Kind == Kind);
        if (row is null || DrawingFiles.Read(row.Bytes) is not { IsOk: true, Value: var drawing })
        {
            return null;
        }
        Keep(token, drawing);
        return drawing;
    }

    private static void Keep(string token, Drawing drawing)
    {
        lock (Gate)
        {
            Kept.AddFirst((token, drawing, drawing.Bytes));
            while (Kept.Count > 1 && Kept.Sum(known => known.Bytes) > MostBytes)
            {
                Kept.RemoveLast();
            }
        }
    }
}
