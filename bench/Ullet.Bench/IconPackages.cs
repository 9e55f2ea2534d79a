namespace Ullet.Bench;

/// <summary>Icons of general icon packages.</summary>
internal static class IconPackages
{
    /// <summary>Filled icons, and icons of open and closed strokes; pinned, so that every run sees the same files.</summary>
    private static readonly string[] Packages = ["bootstrap-icons@1.13.2", "lucide-static@1.62.0"];

    /// <summary>Packages that nothing was tuned to: of these a seed draws others each time.</summary>
    private static readonly string[] Unseen = ["@tabler/icons@3.52.0", "ionicons@8.1.0"];

    private const int PerPackage = 250;

    /// <summary>Their names and files: five hundred, evenly spread over each package in the order of their names.</summary>
    internal static IReadOnlyList<(string Name, byte[] File)> All() =>
        [
            .. Packages.SelectMany(package =>
            {
                var icons = PackageFiles.Of(package, ".svg").Where(IsIcon).ToList();
                return Enumerable.Range(0, PerPackage).Select(i => Named(package, icons[i * icons.Count / PerPackage]));
            }),
        ];

    /// <summary>Icons drawn by a seed from packages that are otherwise not looked at.</summary>
    internal static IReadOnlyList<(string Name, byte[] File)> Drawn(int seed)
    {
        var random = new Random(seed);
        return
        [
            .. Unseen.SelectMany(package =>
            {
                var icons = PackageFiles.Of(package, ".svg").ToArray();
                random.Shuffle(icons);
                return icons.Take(PerPackage).Select(icon => Named(package, icon));
            }),
        ];
    }

    private static bool IsIcon((string Path, byte[] File) entry) =>
        entry.Path.StartsWith("package/icons/", StringComparison.Ordinal);

    private static (string Name, byte[] File) Named(string package, (string Path, byte[] File) icon) =>
        ($"{package} {Path.GetFileName(icon.Path)}", icon.File);
}
