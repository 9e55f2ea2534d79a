using Microsoft.EntityFrameworkCore;
using Ullet.Core.Opened;
using Ullet.Core.Projects;
using Ullet.Files.Designs;
using Ullet.Server.Data;

namespace Ullet.Server.Documents;

/// <summary>Stitch files among the kept files; the last few stay read.</summary>
internal sealed class StitchDesignShelf(UlletDb db) : IStitchDesigns
{
    internal const string Kind = "stitches";

    /// <summary>The most that is kept read, bytes.</summary>
    private const long MostBytes = 64_000_000;

    private static readonly Lock Gate = new();
    private static readonly LinkedList<(string Token, OpenedReading Reading, StitchDesign Design)> Kept = new();

    public StitchDesign? Find(string token, OpenedReading reading)
    {
        lock (Gate)
        {
            foreach (var known in Kept)
            {
                if (known.Token == token && known.Reading == reading)
                {
                    return known.Design;
                }
            }
        }
        // A drawing's lines may be stitches as well as a drawing.
        var row = db
            .Assets.AsNoTracking()
            .FirstOrDefault(asset =>
                asset.Sha256 == token && (asset.Kind == Kind || asset.Kind == ImportedDrawings.Kind)
            );
        if (
            row is null
            || StitchDesignFiles.Read(row.Bytes, "Stitches", reading) is not { IsOk: true, Value: var design }
        )
        {
            return null;
        }
        Keep(token, reading, design);
        return design;
    }

    private static void Keep(string token, OpenedReading reading, StitchDesign design)
    {
        lock (Gate)
        {
            Kept.AddFirst((token, reading, design));
            while (Kept.Count > 1 && Kept.Sum(known => known.Design.Bytes) > MostBytes)
            {
                Kept.RemoveLast();
            }
        }
    }
}
