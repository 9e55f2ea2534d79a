using System.IO.Compression;
using System.Text.Json;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Files.ProjectFiles;

/// <summary>The project file .ullet: a zip of a manifest and the document.</summary>
public static class ProjectFile
{
    public const int LargestFile = 20_000_000;

    private const long LargestEntry = 50_000_000;
    private const string ManifestName = "ullet.json";
    private const string ProjectName = "project.json";
    private const string Format = "ullet-project";
    private const int Version = 1;

    /// <summary>Writes the file and reads it back before it is handed out.</summary>
    /// <exception cref="InvalidOperationException">When what was read back is not what was written: a fault of ours.</exception>
    public static byte[] Export(Project project)
    {
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
        {
            Add(
                zip,
                ManifestName,
                JsonSerializer.SerializeToUtf8Bytes(new Manifest(Format, Version), ProjectJson.Options)
            );
            Add(zip, ProjectName, ProjectJson.Write(project));
        }
        var file = stream.ToArray();
        var read = Read(file);
        if (!read.IsOk || !ProjectJson.Write(read.Value).AsSpan().SequenceEqual(ProjectJson.Write(project)))
        {
            throw new InvalidOperationException(
                $"The project file can't be read back: {read.Refusal?.Words ?? "it differs"}"
            );
        }
        return file;
    }

    /// <returns>The project, or "project-file-…" / "project-…" with a sentence.</returns>
    public static Result<Project> Read(ReadOnlyMemory<byte> file)
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
            if (Entry(zip, ManifestName) is not { } manifestBytes || Entry(zip, ProjectName) is not { } projectBytes)
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
                : ProjectJson.Read(projectBytes);
        }
        catch (InvalidDataException)
        {
            return No("foreign", "This is not an Ullet project file: it is no zip, or a broken one.");
        }
        catch (JsonException)
        {
            return No("foreign", "This is not an Ullet project file: its manifest can't be read.");
        }
    }

    private static void Add(ZipArchive zip, string name, byte[] bytes)
    {
        var entry = zip.CreateEntry(name, CompressionLevel.Optimal);
        // A fixed time: the same project gives the same bytes.
        entry.LastWriteTime = new DateTimeOffset(2000, 1, 1, 0, 0, 0, TimeSpan.Zero);
        using var stream = entry.Open();
        stream.Write(bytes);
    }

    private static byte[]? Entry(ZipArchive zip, string name)
    {
        if (zip.GetEntry(name) is not { } entry)
        {
            return null;
        }
        if (entry.Length > LargestEntry)
        {
            throw new InvalidDataException("Too large.");
        }
        using var stream = entry.Open();
        using var bytes = new MemoryStream();
        var buffer = new byte[81920];
        int read;
        while ((read = stream.Read(buffer)) > 0)
        {
            if (bytes.Length + read > LargestEntry)
            {
                throw new InvalidDataException("Larger than it says.");
            }
            bytes.Write(buffer, 0, read);
        }
        return bytes.ToArray();
    }

    private static Refusal No(string code, string words) => new($"project-file-{code}", "file", words);

    private sealed record Manifest(string Format, int Version);
}
