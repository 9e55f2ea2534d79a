using Microsoft.Data.Sqlite;

namespace Ullet.Server.Data;

/// <summary>A project with its head's state (null where that is not there) and what was noted of it.</summary>
internal sealed record ShelfRow(string Id, string Title, long HeadId, long UpdatedAt, byte[]? Snapshot)
{
    internal long CreatedAt { get; init; }

    internal long? DeletedAt { get; init; }

    internal string? SetId { get; init; }

    internal long FactsOf { get; init; }

    internal string FactsHash { get; init; } = "";

    internal string Hoop { get; init; } = "";

    internal int Pieces { get; init; }

    internal string Words { get; init; } = "";
}

/// <summary>The shelf and the bin in one question.</summary>
internal static class ShelfRows
{
    private const string Question =
        "SELECT p.Id, p.Title, p.HeadId, p.UpdatedAt, r.Snapshot, p.CreatedAt, p.DeletedAt, p.SetId, p.FactsOf, p.FactsHash, "
        + "p.Hoop, p.Pieces, p.Words FROM Projects p LEFT JOIN Revisions r ON r.Id = p.HeadId ORDER BY p.UpdatedAt DESC, p.Id DESC";

    /// <summary>All projects, those in the bin too, changed last first.</summary>
    internal static List<ShelfRow> Read(SqliteConnection connection) => PlainSql.Rows(connection, Question, Row);

    /// <summary>The projects that are not in the bin, changed last first.</summary>
    internal static List<ShelfRow> Shelved(string dataFolder)
    {
        using var connection = PlainSql.Open(dataFolder);
        return Read(connection).FindAll(row => row.DeletedAt is null);
    }

    private static ShelfRow Row(SqliteDataReader row) =>
        new(
            row.GetString(0),
            row.GetString(1),
            row.GetInt64(2),
            row.GetInt64(3),
            row.IsDBNull(4) ? null : row.GetFieldValue<byte[]>(4)
        )
        {
            CreatedAt = row.GetInt64(5),
            DeletedAt = row.IsDBNull(6) ? null : row.GetInt64(6),
            SetId = row.IsDBNull(7) ? null : row.GetString(7),
            FactsOf = row.GetInt64(8),
            FactsHash = row.GetString(9),
            Hoop = row.GetString(10),
            Pieces = row.GetInt32(11),
            Words = row.GetString(12),
        };
}
