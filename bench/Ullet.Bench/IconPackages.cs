using System.Diagnostics;
using System.Formats.Tar;
using System.IO.Compression;

namespace Ullet.Bench;

/// <summary>Five hundred icons of two general icon packages.</summary>
internal static class IconPackages
{
    /// <summary>Filled icons, and icons of open and closed strokes; pinned, so that every run sees the same files.</summary>
    private static readonly string[] Packages = ["bootstrap-icons@1.13.2", "lucide-static@1.62.0"];

    private const int PerPackage = 250;

    /// <summary>Their names and files.</summary>
    internal static IReadOnlyList<(string Name, byte[] File)> All()
    {
        var folder = Directory.CreateTempSubdirectory("ullet-icons-").FullName;
        try
        {
            return [.. Packages.SelectMany(package => Icons(package, folder))];
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }

    /// <summary>Evenly spread over the package's icons in the order of their names.</summary>
    private static IEnumerable<(string Name, byte[] File)> Icons(string package, string folder)
    {
        var archive = Fetch(package, folder);
        var all = new SortedDictionary<string, byte[]>(StringComparer.Ordinal);
        using var zipped = new GZipStream(File.OpenRead(archive), CompressionMode.Decompress);
        using var tar = new TarReader(zipped);
        while (tar.GetNextEntry() is { } entry)
        {
            if (
                entry.Name.StartsWith("package/icons/", StringComparison.Ordinal)
                && entry.Name.EndsWith(".svg", StringComparison.Ordinal)
            )
            {
                using var bytes = new MemoryStream();
                entry.DataStream!.CopyTo(bytes);
                all[entry.Name] = bytes.ToArray();
            }
        }
        var icons = all.ToList();
        return Enumerable
            .Range(0, PerPackage)
            .Select(i => icons[i * icons.Count / PerPackage])
            .Select(pair => ($"{package} {Path.GetFileName(pair.Key)}", pair.Value));
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
            : throw new InvalidOperationException(
                $"The icons of {package} can't be fetched from the package registry."
            );
    }
}
