using Microsoft.Data.Sqlite;
using Ullet.Server.Documents;

namespace Ullet.Server.Data;

/// <summary>What a start reads.</summary>
internal static class StartRows
{
    /// <summary>The fonts that were added: their SHA-256, their bytes, and whether they are offered.</summary>
    internal static List<(string Sha256, byte[] Bytes, bool IsListed)> Fonts(SqliteConnection connection) =>
        PlainSql.Rows(
            connection,
            $"SELECT Sha256, Bytes, Kind FROM Assets WHERE Kind IN ('{AssetStore.FontKind}', '{AssetStore.RemovedFontKind}')",
            row => (row.GetString(0), row.GetFieldValue<byte[]>(1), row.GetString(2) == AssetStore.FontKind)
        );

    /// <summary>The titles of all projects, those in the bin counted.</summary>
    internal static List<string> Titles(SqliteConnection connection) =>
        PlainSql.Rows(connection, "SELECT Title FROM Projects", row => row.GetString(0));
}
