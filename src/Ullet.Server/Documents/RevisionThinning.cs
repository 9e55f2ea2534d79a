using Microsoft.EntityFrameworkCore;
using Ullet.Server.Data;

namespace Ullet.Server.Documents;

/// <summary>Takes old revisions away: the newest ones, every hour's last, those with a
/// name, and the head with its nearest past stay.</summary>
internal static class RevisionThinning
{
    private const long Hour = 3_600_000;

    /// <summary>Removes what is not kept and ties children to the nearest kept ancestor.</summary>
    /// <param name="db">The database.</param>
    /// <param name="projectId">The project.</param>
    /// <param name="head">Its current state.</param>
    /// <param name="kept">How many of the newest states stay.</param>
    /// <param name="cancellation">Ends it.</param>
    /// <param name="span">Of older ones the last of every such time stays, ms.</param>
    internal static async Task Run(
        UlletDb db,
        string projectId,
        long head,
        int kept,
        CancellationToken cancellation,
        long span = Hour
    )
    {
        var all = await db
            .Revisions.AsNoTracking()
            .Where(r => r.ProjectId == projectId)
            .OrderByDescending(r => r.Id)
            .Select(r => new
            {
                r.Id,
                r.ParentId,
                r.At,
                IsNamed = r.Name != null,
            })
            .ToListAsync(cancellation);
        var keep = all.Take(kept).Select(r => r.Id).ToHashSet();
        keep.Add(head);
        keep.UnionWith(all.Where(r => r.IsNamed).Select(r => r.Id));
        keep.UnionWith(all.GroupBy(r => r.At / span).Select(hour => hour.Max(r => r.Id)));
        // States that orders hold to, or were made from, stay as long as the orders do.
        keep.UnionWith(
            await db
                .Orders.Where(order => order.ProjectId == projectId && order.Revision != null)
                .Select(order => order.Revision!.Value)
                .Concat(db.Made.Where(made => made.ProjectId == projectId).Select(made => made.Revision))
                .Distinct()
                .ToListAsync(cancellation)
        );
        var gone = all.Where(r => !keep.Contains(r.Id)).ToDictionary(r => r.Id, r => r.ParentId);
        if (gone.Count == 0)
        {
            return;
        }
        foreach (var child in all.Where(r => keep.Contains(r.Id) && r.ParentId is { } p && gone.ContainsKey(p)))
        {
            var parent = child.ParentId;
            while (parent is { } missing && gone.TryGetValue(missing, out var next))
            {
                parent = next;
            }
            await db
                .Revisions.Where(r => r.Id == child.Id)
                .ExecuteUpdateAsync(set => set.SetProperty(r => r.ParentId, parent), cancellation);
        }
        var ids = gone.Keys.ToList();
        await db.Revisions.Where(r => ids.Contains(r.Id)).ExecuteDeleteAsync(cancellation);
    }
}
