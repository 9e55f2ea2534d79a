using System.Reflection;
using Microsoft.Data.Sqlite;
using Ullet.Server.Commands;
using Ullet.Server.Data;
using Ullet.Server.Hosting;

var describesOnly = Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";
try
{
    if (args is ["backup" or "rescue", ..])
    {
        return UlletCommands.Run(args, Console.Out);
    }
    await Serve();
    return 0;
}
catch (StartException fault)
{
    await Console.Error.WriteLineAsync(fault.Message);
    return StartException.ExitCode;
}

async Task Serve()
{
    WarmUp.Documents();
    var app = ServerSetup.Build(args);
    var options = app.Services.GetRequiredService<ServerOptions>();
    if (describesOnly)
    {
        await app.RunAsync();
        return;
    }
    WarmUp.Handlers(app);
    var wasStopped = !File.Exists(Path.Combine(options.DataFolder, DataFolder.LockName));
    using var folder = DataFolder.Hold(options.DataFolder);
    DatabaseStart.Prepare(options.DataFolder, wasStopped);
    SqliteConnection? open = null;
    try
    {
        // One connection stays open, so that no other is ever the first, which looks through the journal and finds the rest in its way.
        open = PlainSql.Open(options.DataFolder);
        await ServerSetup.Fill(app.Services, options);
        app.Lifetime.ApplicationStarted.Register(() =>
            Console.WriteLine($"Ullet is ready: {string.Join(' ', app.Urls)} (data in {options.DataFolder})")
        );
        await Listening.Start(app, options.Port);
        await app.WaitForShutdownAsync();
    }
    catch (Exception wrong) when (wrong is not StartException)
    {
        if (DatabaseStart.Sentence(wrong, options.DataFolder) is { } told)
        {
            throw told;
        }
        throw;
    }
    finally
    {
        await app.DisposeAsync();
        if (open is not null)
        {
            await open.DisposeAsync();
        }
        if (DatabaseStart.Close(options.DataFolder) is { } words)
        {
            await Console.Error.WriteLineAsync(words);
        }
    }
}

/// <summary>The server's entry point.</summary>
public partial class Program;
