using System.Diagnostics;
using Ullet.Server.Documents;

namespace Ullet.Bench;

/// <summary>The real server as a process of its own, with a data folder that goes when it ends.</summary>
internal sealed class BenchServer : IDisposable
{
    private readonly Process _process;

    /// <param name="options">More options than port and data folder.</param>
    internal BenchServer(params string[] options)
    {
        DataFolder = Directory.CreateTempSubdirectory("ullet-bench-").FullName;
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true, UseShellExecute = false };
        foreach (
            var argument in (string[])
                [typeof(BlankProject).Assembly.Location, "--port", "0", "--data", DataFolder, .. options]
        )
        {
            start.ArgumentList.Add(argument);
        }
        _process = Process.Start(start)!;
        while (_process.StandardOutput.ReadLine() is { } line)
        {
            if (line.StartsWith("Ullet is ready: ", StringComparison.Ordinal))
            {
                Address = new Uri(line.Split(' ')[3]);
                return;
            }
        }
        throw new InvalidOperationException("The server ended before it was ready.");
    }

    internal Uri Address { get; }

    internal string DataFolder { get; }

    public void Dispose()
    {
        _process.Kill();
        _process.WaitForExit();
        _process.Dispose();
        Directory.Delete(DataFolder, recursive: true);
    }
}
