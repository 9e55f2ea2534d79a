using System.Collections.Immutable;
using System.IO.Compression;
using System.Security.Cryptography;
using System.Text.Json;
using Ullet.Core.Documents;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Files.ProjectFiles;

/// <summary>A file that a project names: a font that was added, a photo of cloth, a stitch file that was opened.</summary>
/// <param name="Sha256">64 hexadecimal digits.</param>
/// <param name="Kind">"font", "picture" or "stitches".</param>
/// <param name="Bytes">The file.</param>
public sealed record ProjectAsset(string Sha256, string Kind, byte[] Bytes);

/// <summary>What a project file holds.</summary>
public sealed record ProjectFileContent(Project Project, ImmutableArray<ProjectAsset> Assets);

/// <summary>The project file .ullet: a zip of a manifest, the document, and the files it names.</summary>
public static class ProjectFile
{
    public const int LargestFile = 20_000_000;

    /// <summary>No entry unfolds into more, bytes.</summary>
    private const long LargestEntry = 50_000_000;

    /// <summary>The document's own text unfolds into no more, bytes.</summary>
    private const long LargestDocument = 24_000_000;

    /// <summary>All entries that are read unfold into no more, bytes.</summary>
    private const long LargestWhole = 120_000_000;

    private const int MostAssets = 200;

    /// <summary>More entries than a project file has are not looked through.</summary>
    private const int MostEntries = 1_000;

    private const string AssetFolder = "assets/";
    private const string ManifestName = "ullet.json";
    private const string ProjectName = "project.json";
    private const string Format = "ullet-project";
    private const int Version = 1;

    /// <summary>Writes the file and reads it back before it is handed out.</summary>
    /// <exception cref="InvalidOperationException">When what was read back is not what was written: a fault of ours.</exception>
    /// <param name="project">The document.</param>
    /// <param name="assets">The files it names, as far as they are there.</param>
    public static byte[] Export(Project project, IReadOnlyList<ProjectAsset> assets)
    {
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
        {
            Add(
                zip,
                ManifestName,
                JsonSerializer.SerializeToUtf8Bytes(
                    new Manifest(Format, Version) { IsOlder = DocumentCheck.Of(project).Any() ? true : null },
                    ProjectJson.Options
                )
            );
            Add(zip, ProjectName, ProjectJson.Write(project));
            foreach (var asset in assets.OrderBy(asset => asset.Sha256, StringComparer.Ordinal))
            {
                Add(zip, $"{AssetFolder}{asset.Kind}-{asset.Sha256}", asset.Bytes);
            }
        }
        var file = stream.ToArray();
        var read = Read(file);
        if (
            !read.IsOk
            || !ProjectJson.Write(read.Value.Project).AsSpan().SequenceEqual(ProjectJson.Write(project))
            || read.Value.Assets.Length != assets.Count
        )
        {
            throw new InvalidOperationException(
                $"The project file can't be read back: {read.Refusal?.Words ?? "it differs"}"
            );
        }
        return file;
    }

    /// <returns>The project with its files, or "project-file-…" / "project-…" with a sentence.</returns>
    public static Result<ProjectFileContent> Read(ReadOnlyMemory<byte> file)
    {
        if (file.Length > LargestFile)
        {
            return No(
                "too-large",
                $"This project file has {file.Length / 1e6:0} MB; up to {LargestFile / 1e6:0} MB are read."
            );
        }
        try
        {
            using var stream = new MemoryStream(file.ToArray());
            using var zip = new ZipArchive(stream, ZipArchiveMode.Read);
            if (zip.Entries.Count > MostEntries)
            {
                return No(
                    "too-large",
                    $"This project file has {zip.Entries.Count:N0} entries; up to {MostEntries:N0} are read."
                );
            }
            var room = LargestWhole;
            if (
                Entry(zip, ManifestName, LargestDocument, ref room) is not { } manifestBytes
                || Entry(zip, ProjectName, LargestDocument, ref room) is not { } projectBytes
            )
            {
                return No("foreign", "This is not an Ullet project file: it is a zip without a project in it.");
            }
            var manifest = JsonSerializer.Deserialize<Manifest>(manifestBytes, ProjectJson.Options);
            if (manifest is null || manifest.Format != Format)
            {
                return No("foreign", "This is not an Ullet project file: its manifest names another format.");
            }
            return manifest.Version > Version
                ? No(
                    "newer",
                    $"This project file was made by a newer Ullet (file version {manifest.Version}; this one reads up to {Version})."
                )
                : Document(projectBytes, manifest)
                    .Then(project => Assets(zip, room).Then(assets => With(project, assets)));
        }
        catch (EntryTooLargeException large)
        {
            return No("too-large", large.Message);
        }
        catch (Exception wrong) when (wrong is InvalidDataException or EndOfStreamException or NotSupportedException)
        {
            return No("foreign", "This is not an Ullet project file: it is no zip, or a broken one.");
        }
        catch (JsonException)
        {
            return No("foreign", "This is not an Ullet project file: its manifest can't be read.");
        }
    }

    /// <summary>The document: it keeps every limit, unless it is one that an older Ullet stored beyond them.</summary>
    private static Result<Project> Document(byte[] json, Manifest manifest) =>
        manifest.IsOlder == true ? DocumentReader.Stored(json) : DocumentReader.Brought(json);

    private static Result<ProjectFileContent> With(Project project, ImmutableArray<ProjectAsset> assets) =>
        new ProjectFileContent(project, assets);

    /// <summary>The files of the zip whose names are their own hash; anything else in it is left aside.</summary>
    private static Result<ImmutableArray<ProjectAsset>> Assets(ZipArchive zip, long room)
    {
        var assets = ImmutableArray.CreateBuilder<ProjectAsset>();
        foreach (
            var entry in zip.Entries.Where(entry => entry.FullName.StartsWith(AssetFolder, StringComparison.Ordinal))
        )
        {
            if (
                entry.FullName[AssetFolder.Length..].Split('-')
                is not [("font" or "picture" or "stitches") and var kind, var hash]
            )
            {
                continue;
            }
            if (assets.Count == MostAssets)
            {
                return No("too-large", $"This project file brings more than {MostAssets} fonts and pictures.");
            }
            var bytes = Entry(zip, entry.FullName, LargestEntry, ref room)!;
            if (Convert.ToHexStringLower(SHA256.HashData(bytes)) != hash)
            {
                return No(
                    "broken",
                    $"This project file is damaged: its {kind} {hash[..Math.Min(8, hash.Length)]} is not what it was."
                );
            }
            assets.Add(new ProjectAsset(hash, kind, bytes));
        }
        return assets.ToImmutable();
    }

    private static void Add(ZipArchive zip, string name, byte[] bytes)
    {
        var entry = zip.CreateEntry(name, CompressionLevel.Optimal);
        // A fixed time: the same project gives the same bytes.
        entry.LastWriteTime = new DateTimeOffset(2000, 1, 1, 0, 0, 0, TimeSpan.Zero);
        using var stream = entry.Open();
        stream.Write(bytes);
    }

    /// <summary>An entry's bytes; null when it is not there. What it unfolds into is counted while it is read, whatever it says.</summary>
    private static byte[]? Entry(ZipArchive zip, string name, long largest, ref long room)
    {
        if (zip.GetEntry(name) is not { } entry)
        {
            return null;
        }
        var most = Math.Min(largest, room);
        using var stream = entry.Open();
        using var bytes = new MemoryStream();
        var buffer = new byte[81920];
        int read;
        while ((read = stream.Read(buffer)) > 0)
        {
            Budget.Spend(read / BytesPerStep);
            if (bytes.Length + read > most)
            {
                throw new EntryTooLargeException(
                    $"This project file unfolds into more than the {(most < largest ? LargestWhole : largest) / 1e6:0} MB that are read "
                        + $"(at its entry {(name.Length > 40 ? name[..40] + "…" : name)})."
                );
            }
            bytes.Write(buffer, 0, read);
        }
        room -= bytes.Length;
        return bytes.ToArray();
    }

    /// <summary>So many bytes are unfolded and hashed in about one step.</summary>
    private const int BytesPerStep = 64;

    private sealed class EntryTooLargeException(string words) : Exception(words);

    private static Refusal No(string code, string words) => new($"project-file-{code}", "file", words);

    /// <summary>What a project file says of itself.</summary>
    private sealed record Manifest(string Format, int Version)
    {
        /// <summary>True for a document that an older Ullet stored beyond today's limits.</summary>
        public bool? IsOlder { get; init; }
    }
}
