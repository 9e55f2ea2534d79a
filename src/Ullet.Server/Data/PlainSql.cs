using Microsoft.Data.Sqlite;

namespace Ullet.Server.Data;

/// <summary>Questions in plain SQL, for what is asked before the database's model is made: making it takes longer than all of them.
/// </summary>
internal static class PlainSql
{
    /// <summary>What a question finds, made of each row.</summary>
    internal static List<T> Rows<T>(SqliteConnection connection, string sql, Func<SqliteDataReader, T> made)
    {
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        using var rows = command.ExecuteReader();
        var found = new List<T>();
        while (rows.Read())
        {
            found.Add(made(rows));
        }
        return found;
    }

    /// <summary>A connection to the database of a data folder.</summary>
    internal static SqliteConnection Open(string dataFolder)
    {
        var connection = new SqliteConnection(DatabaseStart.ConnectionString(dataFolder));
        connection.Open();
        return connection;
    }
}
