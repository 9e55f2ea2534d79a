using System.Diagnostics;

namespace Ullet.Server.Tests.Hosting;

/// <summary>The real program as a process of its own.</summary>
internal sealed class ServerProcess : IDisposable
{
    private readonly Process _process;

    private ServerProcess(Process process) => _process = process;

    internal Uri Address { get; private set; } = new("http://127.0.0.1");

    /// <summary>Starts a server on a data folder and waits until it answers.</summary>
    internal static async Task<ServerProcess> Start(string data)
    {
        var server = Begin("--port", "0", "--data", data);
        while (await server._process.StandardOutput.ReadLineAsync() is { } line)
        {
            if (line.StartsWith("Ullet is ready: ", StringComparison.Ordinal))
            {
                server.Address = new Uri(line.Split(' ')[3]);
                return server;
            }
        }
        throw new InvalidOperationException(
            $"The server ended before it was ready: {await server._process.StandardError.ReadToEndAsync()}"
        );
    }

    /// <summary>Begins the program without waiting.</summary>
    internal static ServerProcess Begin(params ReadOnlySpan<string> args)
    {
        var start = new ProcessStartInfo("dotnet")
        {
            ArgumentList = { typeof(Program).Assembly.Location },
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            UseShellExecute = false,
        };
        foreach (var arg in args)
        {
            start.ArgumentList.Add(arg);
        }
        var process = new Process { StartInfo = start };
        process.Start();
        return new ServerProcess(process);
    }

    /// <summary>Runs the program to its end: its exit code, what it said, what it complained of.</summary>
    internal static async Task<(int Code, string Said, string Complaint)> Run(params string[] args)
    {
        using var run = Begin(args);
        var said = run._process.StandardOutput.ReadToEndAsync();
        var complaint = await run._process.StandardError.ReadToEndAsync();
        await run._process.WaitForExitAsync();
        return (run._process.ExitCode, (await said).Trim(), complaint.Trim());
    }

    /// <summary>SIGKILL, as kill -9 sends it: nothing of the process runs any more.</summary>
    internal void Kill()
    {
        _process.Kill();
        _process.WaitForExit();
    }

    /// <summary>SIGTERM, as a person or a system stops it.</summary>
    internal async Task Stop()
    {
        using var kill = Process.Start("/bin/sh", ["-c", $"kill -TERM {_process.Id}"]);
        await kill.WaitForExitAsync();
        await _process.WaitForExitAsync();
    }

    public void Dispose()
    {
        if (!_process.HasExited)
        {
            Kill();
        }
        _process.Dispose();
    }
}
