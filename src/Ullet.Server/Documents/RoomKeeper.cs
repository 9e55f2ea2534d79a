using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Ullet.Server.Data;
using Ullet.Server.Hosting;

namespace Ullet.Server.Documents;

/// <summary>Tells what takes room, and makes some.</summary>
internal sealed class RoomKeeper(UlletDb db, AssetSweep sweep, HandedOut handed, ServerOptions options)
{
    /// <summary>States of each project that stay when its history is cleared, beside every day's last.</summary>
    internal const int StatesKept = 30;

    private const long Day = 86_400_000;

    /// <summary>A disk with less than this left is nearly full, bytes.</summary>
    private const long LittleBytes = 500_000_000;

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
        var free = new DriveInfo(options.DataFolder).AvailableFreeSpace;
        return new RoomUsed(
            FileBytes(),
            states.Where(state => state is { IsHead: true, IsInBin: false }).Sum(state => state.Bytes),
            states.Where(state => state is { IsHead: false, IsInBin: false }).Sum(state => state.Bytes),
            states.Where(state => state.IsInBin).Sum(state => state.Bytes),
            assets - unused,
            unused,
            await handed.Bytes(cancellation),
            free,
            free < LittleBytes
        );
    }

    internal async Task Make(RoomWish wish, CancellationToken cancellation)
    {
        if (wish.Bin)
        {
            await db
                .Projects.Where(project =>
                    project.DeletedAt != null && !db.Orders.Any(order => order.ProjectId == project.Id)
                )
                .ExecuteDeleteAsync(cancellation);
        }
        if (wish.Handed)
        {
            await handed.ClearOlder(cancellation);
        }
        await handed.ClearUnnamed(cancellation);
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
        try
        {
            await Pack(cancellation);
        }
        catch (SqliteException wrong) when (SqliteFaults.Of(wrong) == StoreFault.Full)
        {
            // No room to make the file smaller; what was cleared is used again for what is saved next.
        }
    }

    private async Task Pack(CancellationToken cancellation)
    {
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
