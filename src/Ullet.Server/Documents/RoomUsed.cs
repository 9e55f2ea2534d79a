using Microsoft.EntityFrameworkCore;
using Ullet.Server.Data;
using Ullet.Server.Hosting;

namespace Ullet.Server.Documents;

/// <summary>What takes room in the data folder, bytes.</summary>
/// <param name="Total">The database's file, with what it has set aside.</param>
/// <param name="Projects">The current states of projects on the shelf.</param>
/// <param name="History">Their older states: undo, and what there was before.</param>
/// <param name="Bin">Projects in the bin, with their states.</param>
/// <param name="Files">Fonts and pictures that are used, or may be.</param>
/// <param name="Unused">Imported files, pictures and removed fonts that nothing names any more.</param>
/// <param name="DiskFree">What the disk has left.</param>
public sealed record RoomUsed(
    long Total,
    long Projects,
    long History,
    long Bin,
    long Files,
    long Unused,
    long DiskFree
);

/// <summary>What is to be cleared.</summary>
public sealed record RoomWish
{
    /// <summary>Imported files, pictures and removed fonts that nothing names.</summary>
    public bool Unused { get; init; }

    /// <summary>What lies in the bin.</summary>
    public bool Bin { get; init; }

    /// <summary>Older states but the last 30 of each project and every day's last.</summary>
    public bool History { get; init; }
}

/// <summary>Tells what takes room, and makes some.</summary>
public sealed class RoomKeeper(UlletDb db, AssetSweep sweep, ServerOptions options)
{
    /// <summary>States of each project that stay when its history is cleared, beside every day's last.</summary>
    internal const int StatesKept = 30;

    private const long Day = 86_400_000;

    internal async Task<RoomUsed> Used(CancellationToken cancellation)
    {
        var states = await db
            .Revisions.Join(
                db.Projects,
                revision => revision.ProjectId,
                project => project.Id,
                (revision, project) =>
                    new
                    {
                        IsHead = revision.Id == project.HeadId,
                        IsInBin = project.DeletedAt != null,
                        Bytes = (long)revision.Snapshot.Length,
                    }
            )
            .GroupBy(state => new { state.IsHead, state.IsInBin })
            .Select(group => new
            {
                group.Key.IsHead,
                group.Key.IsInBin,
                Bytes = group.Sum(state => state.Bytes),
            })
            .ToListAsync(cancellation);
        var assets = await db.Assets.SumAsync(asset => (long)asset.Bytes.Length, cancellation);
        var unused = await sweep.UnusedBytes(cancellation);
        return new RoomUsed(
            FileBytes(),
            states.Where(state => state is { IsHead: true, IsInBin: false }).Sum(state => state.Bytes),
            states.Where(state => state is { IsHead: false, IsInBin: false }).Sum(state => state.Bytes),
            states.Where(state => state.IsInBin).Sum(state => state.Bytes),
            assets - unused,
            unused,
            new DriveInfo(options.DataFolder).AvailableFreeSpace
        );
    }

    internal async Task Make(RoomWish wish, CancellationToken cancellation)
    {
        if (wish.Bin)
        {
            await db.Projects.Where(project => project.DeletedAt != null).ExecuteDeleteAsync(cancellation);
        }
        if (wish.History)
        {
            foreach (var project in await db.Projects.AsNoTracking().ToListAsync(cancellation))
            {
                await RevisionThinning.Run(db, project.Id, project.HeadId, StatesKept, cancellation, Day);
            }
        }
        if (wish.Unused)
        {
            await sweep.Run(AssetSweep.StillOpen, cancellation);
        }
        await db.Database.ExecuteSqlRawAsync("PRAGMA wal_checkpoint(TRUNCATE)", cancellation);
        // Packing writes the file anew beside the old one.
        if (new DriveInfo(options.DataFolder).AvailableFreeSpace > 2 * FileBytes())
        {
            await db.Database.ExecuteSqlRawAsync("VACUUM", cancellation);
            await db.Database.ExecuteSqlRawAsync("PRAGMA wal_checkpoint(TRUNCATE)", cancellation);
        }
    }

    private long FileBytes() =>
        new[] { "", "-wal", "-shm" }
            .Select(ending => new FileInfo(Path.Combine(options.DataFolder, DatabaseStart.FileName + ending)))
            .Where(file => file.Exists)
            .Sum(file => file.Length);
}
