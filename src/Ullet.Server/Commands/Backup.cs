using System.Globalization;
using Ullet.Server.Data;
using Ullet.Server.Hosting;

namespace Ullet.Server.Commands;

/// <summary>"backup": a safe copy of the database, also while a server runs on it.</summary>
internal static class Backup
{
    /// <returns>The exit code.</returns>
    internal static int Run(ServerOptions options, string? target, TextWriter says)
    {
        var file = Path.Combine(options.DataFolder, DatabaseStart.FileName);
        if (!File.Exists(file))
        {
            throw new StartException($"There is no database in {options.DataFolder}; nothing was copied.");
        }
        var stamp = DateTime.Now.ToString("yyyy-MM-dd-HHmmss", CultureInfo.InvariantCulture);
        target = Path.GetFullPath(target ?? Path.Combine(options.DataFolder, $"ullet-backup-{stamp}.db"));
        if (File.Exists(target))
        {
            throw new StartException(
                $"{target} is there already; a backup never overwrites. Choose another name (--to FILE)."
            );
        }
        DatabaseStart.Told(options.DataFolder, () => DatabaseStart.Copy(file, target));
        says.WriteLine($"Copied to {target}. To go back to it, stop Ullet and put it in the place of {file}.");
        return 0;
    }
}
