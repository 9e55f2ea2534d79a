using Microsoft.Data.Sqlite;

namespace Ullet.Server.Data;

/// <summary>Takes projects away that have lain in the bin for 30 days; masters of orders stay there.</summary>
internal static class BinEmptying
{
    internal static readonly TimeSpan Kept = TimeSpan.FromDays(30);

    internal static void Run(SqliteConnection connection, TimeProvider clock)
    {
        using var command = connection.CreateCommand();
        command.CommandText =
            "DELETE FROM Projects WHERE DeletedAt < $limit AND Id NOT IN (SELECT ProjectId FROM Orders)";
        command.Parameters.AddWithValue("$limit", clock.GetUtcNow().Subtract(Kept).ToUnixTimeMilliseconds());
        command.ExecuteNonQuery();
    }
}
