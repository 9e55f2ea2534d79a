using Microsoft.EntityFrameworkCore;

namespace Ullet.Server.Data;

/// <summary>Takes projects away that have lain in the bin for 30 days.</summary>
internal static class BinEmptying
{
    internal static readonly TimeSpan Kept = TimeSpan.FromDays(30);

    internal static Task Run(UlletDb db, TimeProvider clock)
    {
        var limit = clock.GetUtcNow().Subtract(Kept).ToUnixTimeMilliseconds();
        return db.Projects.Where(p => p.DeletedAt != null && p.DeletedAt < limit).ExecuteDeleteAsync();
    }
}
