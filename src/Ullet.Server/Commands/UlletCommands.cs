using Ullet.Server.Data;
using Ullet.Server.Hosting;

namespace Ullet.Server.Commands;

/// <summary>What the program does beside serving: "backup" and "rescue".</summary>
internal static class UlletCommands
{
    /// <param name="args">The command and its options: --data DIR, --to FILE or DIR.</param>
    /// <param name="says">Where it tells what it did.</param>
    /// <returns>The exit code.</returns>
    /// <exception cref="StartException">When it can't be done.</exception>
    internal static int Run(string[] args, TextWriter says)
    {
        var configuration = new ConfigurationBuilder().AddCommandLine(args[1..]).Build();
        var options = ServerOptions.From(configuration);
        var target = configuration["to"];
        return args[0] == "backup" ? Backup.Run(options, target, says) : Rescue.Run(options, target, says);
    }
}
