using Microsoft.Data.Sqlite;
using Ullet.Server.Documents;

namespace Ullet.Server.Data;

/// <summary>What a start reads and clears, in plain SQL: making the model of the database would take longer than all of it.</summary>
internal sealed class StartRows : IDisposable
{
    private readonly SqliteConnection _connection;

    internal StartRows(string dataFolder)
    {
        _connection = new SqliteConnection(DatabaseStart.ConnectionString(dataFolder));
        _connection.Open();
    }

    public void Dispose() => _connection.Dispose();

    /// <summary>The fonts that were added: their SHA-256, their bytes, and whether they are offered.</summary>
    internal IEnumerable<(string Sha256, byte[] Bytes, bool IsListed)> Fonts()
    {
        using var rows = Read(
            "SELECT Sha256, Bytes, Kind FROM Assets WHERE Kind IN ($listed, $removed)",
            ("$listed", AssetStore.FontKind),
            ("$removed", AssetStore.RemovedFontKind)
        );
        while (rows.Read())
        {
            yield return (rows.GetString(0), rows.GetFieldValue<byte[]>(1), rows.GetString(2) == AssetStore.FontKind);
        }
    }

    /// <summary>The titles of all projects, those in the bin counted.</summary>
    internal List<string> Titles()
    {
        using var rows = Read("SELECT Title FROM Projects");
        var titles = new List<string>();
        while (rows.Read())
        {
            titles.Add(rows.GetString(0));
        }
        return titles;
    }

    /// <summary>Takes projects away that have lain in the bin long enough.</summary>
    internal void EmptyBin(TimeProvider clock)
    {
        using var command = _connection.CreateCommand();
        command.CommandText = "DELETE FROM Projects WHERE DeletedAt < $limit";
        command.Parameters.AddWithValue("$limit", BinEmptying.LimitAt(clock));
        command.ExecuteNonQuery();
    }

    private SqliteDataReader Read(string sql, params ReadOnlySpan<(string Name, string Value)> values)
    {
        var command = _connection.CreateCommand();
        command.CommandText = sql;
        foreach (var (name, value) in values)
        {
            command.Parameters.AddWithValue(name, value);
        }
        return command.ExecuteReader();
    }
}
