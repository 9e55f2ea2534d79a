using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Ullet.Server.Data;

/// <summary>What kind of trouble the database is in.</summary>
internal enum StoreFault
{
    /// <summary>None that is known.</summary>
    None,

    /// <summary>Others are at it; it will pass.</summary>
    Busy,

    /// <summary>The disk is full.</summary>
    Full,

    /// <summary>It may not be written.</summary>
    ReadOnly,

    /// <summary>The file is damaged, or no database.</summary>
    Damaged,

    /// <summary>The disk does not answer as it should.</summary>
    Disk,
}

/// <summary>Sorts what SQLite and the disk complain of.</summary>
internal static class SqliteFaults
{
    /// <summary>The kind of trouble behind an exception or one that it wraps.</summary>
    internal static StoreFault Of(Exception wrong) =>
        wrong switch
        {
            SqliteException sqlite => Of(sqlite.SqliteErrorCode),
            DbUpdateException { InnerException: { } inner } => Of(inner),
            IOException when DataFolder.IsNoSpace(wrong) => StoreFault.Full,
            _ => StoreFault.None,
        };

    /// <remarks>Numbers as in https://sqlite.org/rescode.html.</remarks>
    private static StoreFault Of(int code) =>
        code switch
        {
            5 or 6 => StoreFault.Busy,
            8 => StoreFault.ReadOnly,
            10 or 14 => StoreFault.Disk,
            11 or 26 => StoreFault.Damaged,
            13 => StoreFault.Full,
            _ => StoreFault.None,
        };
}
