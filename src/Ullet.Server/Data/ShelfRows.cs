using Microsoft.Data.Sqlite;

namespace Ullet.Server.Data;

/// <summary>A project on the shelf with its head's state; null where that is not there.</summary>
internal sealed record ShelfRow(string Id, string Title, long HeadId, long UpdatedAt, byte[]? Snapshot);

/// <summary>The shelf in one plain question: it is the first that is asked after a start, before the database's model is made.</summary>
internal static class ShelfRows
{
    /// <summary>All projects that are not in the bin, newest first.</summary>
    internal static List<ShelfRow> Read(string dataFolder)
    {
        using var connection = new SqliteConnection(DatabaseStart.ConnectionString(dataFolder));
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText =
            "SELECT p.Id, p.Title, p.HeadId, p.UpdatedAt, r.Snapshot FROM Projects p "
            + "LEFT JOIN Revisions r ON r.Id = p.HeadId WHERE p.DeletedAt IS NULL ORDER BY p.UpdatedAt DESC";
        using var rows = command.ExecuteReader();
        var found = new List<ShelfRow>();
        while (rows.Read())
        {
            found.Add(
                new ShelfRow(
                    rows.GetString(0),
                    rows.GetString(1),
                    rows.GetInt64(2),
                    rows.GetInt64(3),
                    rows.IsDBNull(4) ? null : rows.GetFieldValue<byte[]>(4)
                )
            );
        }
        return found;
    }
}
