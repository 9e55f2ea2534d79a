namespace Ullet.Server.Data;

/// <summary>A project on the shelf with its head's state; null where that is not there.</summary>
internal sealed record ShelfRow(string Id, string Title, long HeadId, long UpdatedAt, byte[]? Snapshot);

/// <summary>The shelf in one question: the first that is asked after a start.</summary>
internal static class ShelfRows
{
    /// <summary>All projects that are not in the bin, newest first.</summary>
    internal static List<ShelfRow> Read(string dataFolder)
    {
        using var connection = PlainSql.Open(dataFolder);
        return PlainSql.Rows(
            connection,
            "SELECT p.Id, p.Title, p.HeadId, p.UpdatedAt, r.Snapshot FROM Projects p "
                + "LEFT JOIN Revisions r ON r.Id = p.HeadId WHERE p.DeletedAt IS NULL ORDER BY p.UpdatedAt DESC",
            row => new ShelfRow(
                row.GetString(0),
                row.GetString(1),
                row.GetInt64(2),
                row.GetInt64(3),
                row.IsDBNull(4) ? null : row.GetFieldValue<byte[]>(4)
            )
        );
    }
}
