using System.Diagnostics;
using System.Formats.Tar;
using System.IO.Compression;

namespace Ullet.Bench;

/// <summary>Files of packages, fetched from the package registry.</summary>
internal static class PackageFiles
{
    /// <summary>The files with an ending, in the order of their paths.</summary>
    /// <param name="package">Name and version.</param>
    /// <param name="ending">".svg", ".ttf".</param>
    internal static IReadOnlyList<(string Path, byte[] File)> Of(string package, string ending)
    {
        var folder = Directory.CreateTempSubdirectory("ullet-package-").FullName;
        try
        {
            var files = new SortedDictionary<string, byte[]>(StringComparer.Ordinal);
            using var zipped = new GZipStream(File.OpenRead(Fetch(package, folder)), CompressionMode.Decompress);
            using var tar = new TarReader(zipped);
            while (tar.GetNextEntry() is { } entry)
            {
                if (entry.Name.EndsWith(ending, StringComparison.Ordinal) && entry.DataStream is { } data)
                {
                    using var bytes = new MemoryStream();
                    data.CopyTo(bytes);
                    files[entry.Name] = bytes.ToArray();
                }
            }
            return [.. files.Select(pair => (pair.Key, pair.Value))];
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }

    private static string Fetch(string package, string folder)
    {
        using var npm = Process.Start(
            new ProcessStartInfo("npm")
            {
                ArgumentList = { "pack", "--silent", "--pack-destination", folder, package },
                RedirectStandardOutput = true,
                RedirectStandardError = true,
                UseShellExecute = false,
            }
        )!;
        var name = npm.StandardOutput.ReadToEnd().Trim().Split('\n')[^1];
        npm.WaitForExit();
        return npm.ExitCode == 0
            ? Path.Combine(folder, name)
            : throw new InvalidOperationException($"{package} can't be fetched from the package registry.");
    }
}
