using Ullet.Server.Data;

namespace Ullet.Server.Documents;

/// <summary>Notes beside the work: what they are about goes on without them.</summary>
internal static class SideNotes
{
    /// <summary>Notes that a file was handed out; on a full or read-only disk it goes out without a note.</summary>
    internal static async Task Try(UlletDb db, ILogger log, string name, Func<Task> note)
    {
        try
        {
            await note();
        }
        catch (Exception wrong) when (SqliteFaults.Of(wrong) is StoreFault.Full or StoreFault.ReadOnly)
        {
            db.ChangeTracker.Clear();
            log.LogWarning(wrong, "The file {Name} was handed out, but could not be noted", name);
        }
    }
}
