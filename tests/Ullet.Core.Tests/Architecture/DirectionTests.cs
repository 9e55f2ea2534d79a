using System.Text.RegularExpressions;

namespace Ullet.Core.Tests.Architecture;

/// <summary>Dependencies point one way: read from the sources themselves.</summary>
public sealed partial class DirectionTests
{
    /// <summary>The core's folders from the bottom up; a folder may use those before it.</summary>
    private static readonly string[] Order =
    [
        "Pipeline",
        "Geometry",
        "Projects",
        "Lettering",
        "Outlines",
        "Forms",
        "Stitches",
        "Recovery",
        "Layers",
        "Applique",
        "Makings",
        "Sketches",
        "Documents",
        "Drawings",
        "Patterns",
        "RunSheets",
        "Program",
        "Opened",
        "Maps",
        "Cutting",
        "Timing",
        "Findings",
        "Evaluation",
        "Moments",
        "Booklets",
        "Edits",
        "Orders",
    ];

    [Fact]
    public void Core_Folders_UseOnlyFoldersBelowThem()
    {
        var wrong = new List<string>();
        foreach (var file in Sources("src/Ullet.Core"))
        {
            var folder = Path.GetRelativePath(Path.Combine(Repository.Root, "src/Ullet.Core"), file).Split('/')[0];
            var place = Array.IndexOf(Order, folder);
            Assert.True(place >= 0, $"{folder} has no place in the order of the core's folders");
            var used = CoreUsing().Matches(File.ReadAllText(file)).Select(match => match.Groups[1].Value);
            wrong.AddRange(
                used.Where(name => Array.IndexOf(Order, name) > place).Select(name => $"{file} uses {name}")
            );
        }
        Assert.Empty(wrong);
    }

    [Theory]
    [InlineData(
        "src/Ullet.Core",
        "Microsoft.AspNetCore|EntityFrameworkCore|SkiaSharp|System.IO|System.Net|Ullet.Files|Ullet.Server"
    )]
    [InlineData("src/Ullet.Files", "Microsoft.AspNetCore|EntityFrameworkCore|System.Net|Ullet.Server")]
    public void Project_NamesNothingFurtherOut(string folder, string forbidden)
    {
        var pattern = new Regex($@"\b({forbidden.Replace(".", @"\.")})\b", RegexOptions.None, TimeSpan.FromSeconds(5));
        var allowed = folder.EndsWith("Files", StringComparison.Ordinal) ? "System.IO" : "";
        var wrong = Sources(folder)
            .SelectMany(file =>
                File.ReadLines(file)
                    .Where(line => line.StartsWith("using", StringComparison.Ordinal) && pattern.IsMatch(line))
            )
            .Where(line => allowed.Length == 0 || !line.Contains(allowed, StringComparison.Ordinal));
        Assert.Empty(wrong);
    }

    [Fact]
    public void Core_HasOnePackage()
    {
        var project = File.ReadAllText(Path.Combine(Repository.Root, "src/Ullet.Core/Ullet.Core.csproj"));
        var packages = PackageName().Matches(project).Select(match => match.Groups[1].Value);
        Assert.Equal(["NetTopologySuite"], packages);
    }

    [Fact]
    public void Web_Rooms_DoNotImportEachOther()
    {
        var wrong = WebImports()
            .Where(pair => RoomOf(pair.From) is { } from && RoomOf(pair.To) is { } to && from != to)
            .Select(pair => $"{pair.From} imports {pair.To}");
        Assert.Empty(wrong);
    }

    [Fact]
    public void Web_Imports_HaveNoCycle()
    {
        var imports = WebImports()
            .GroupBy(pair => pair.From)
            .ToDictionary(g => g.Key, g => g.Select(p => p.To).ToList());
        var done = new HashSet<string>(StringComparer.Ordinal);
        foreach (var file in imports.Keys)
        {
            Visit(file, []);
        }

        void Visit(string file, List<string> path)
        {
            Assert.False(path.Contains(file), $"A cycle: {string.Join(" → ", path)} → {file}");
            if (!done.Add(file) && path.Count > 0)
            {
                return;
            }
            foreach (var next in imports.GetValueOrDefault(file, []))
            {
                Visit(next, [.. path, file]);
            }
        }
    }

    /// <summary>Every import of one of the web app's own modules: file and file, without endings.</summary>
    private static List<(string From, string To)> WebImports()
    {
        var web = Path.Combine(Repository.Root, "src/ullet-web/src");
        var found = new List<(string, string)>();
        foreach (var file in Directory.EnumerateFiles(web, "*.ts*", SearchOption.AllDirectories))
        {
            foreach (Match match in WebImport().Matches(File.ReadAllText(file)))
            {
                var to = Path.GetFullPath(Path.Combine(Path.GetDirectoryName(file)!, match.Groups[1].Value));
                found.Add((Bare(file), Bare(to)));
            }
        }
        Assert.NotEmpty(found);
        return found;

        string Bare(string path) => Path.ChangeExtension(Path.GetRelativePath(web, path), null);
    }

    private static string? RoomOf(string module)
    {
        var parts = module.Split('/');
        return parts is ["rooms", var room, ..] ? room : null;
    }

    private static IEnumerable<string> Sources(string folder) =>
        Directory
            .EnumerateFiles(Path.Combine(Repository.Root, folder), "*.cs", SearchOption.AllDirectories)
            .Where(file =>
                !file.Contains("/obj/", StringComparison.Ordinal) && !file.Contains("/bin/", StringComparison.Ordinal)
            );

    [GeneratedRegex(@"Ullet\.Core\.([A-Z]\w+)", RegexOptions.None, 5000)]
    private static partial Regex CoreUsing();

    [GeneratedRegex("PackageReference Include=\"([^\"]+)\"", RegexOptions.None, 5000)]
    private static partial Regex PackageName();

    [GeneratedRegex("from \"(\\.[^\"]+)\"", RegexOptions.None, 5000)]
    private static partial Regex WebImport();
}
