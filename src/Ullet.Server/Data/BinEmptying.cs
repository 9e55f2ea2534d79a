using Microsoft.EntityFrameworkCore;

namespace Ullet.Server.Data;

/// <summary>Takes projects away that have lain in the bin for 30 days.</summary>
internal static class BinEmptying
{
    internal static readonly TimeSpan Kept = TimeSpan.FromDays(30);

    /// <summary>What was deleted before goes, Unix ms.</summary>
    internal static long LimitAt(TimeProvider clock) => clock.GetUtcNow().Subtract(Kept).ToUnixTimeMilliseconds();

    internal static Task Run(UlletDb db, TimeProvider clock)
    {
        var limit = LimitAt(clock);
        return db.Projects.Where(p => p.DeletedAt != null && p.DeletedAt < limit).ExecuteDeleteAsync();
    }
}
