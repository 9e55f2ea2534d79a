using System.IO.Compression;
using System.Security.Cryptography;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Designs;
using Ullet.Server.Documents;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>Stitch files as they come in: unfolded, looked at, kept.</summary>
internal static class StitchUploads
{
    /// <summary>No entry of a zip unfolds into more, bytes; nor all of them into more than twice as much.</summary>
    private const long LargestEntry = StitchDesignFiles.LargestFile;

    /// <summary>What a file would be opened as, or why it never can be; nothing is kept yet.</summary>
    internal static Result<StitchPreview> Look(string name, byte[] bytes, Workbench bench)
    {
        var token = Convert.ToHexStringLower(SHA256.HashData(bytes));
        return bench.Run(
            WorkKind.Reading,
            "Reading this stitch file",
            _ => StitchPreviews.Of(token, Short(name), bytes, new OpenedReading())
        );
    }

    /// <summary>Keeps a file that was looked at, byte for byte.</summary>
    internal static Task Keep(StitchPreview preview, byte[] bytes, AssetStore assets, CancellationToken cancellation) =>
        assets.Keep(
            preview.Format == DesignKind.DrawnLines ? ImportedDrawings.Kind : StitchDesignShelf.Kind,
            bytes,
            cancellation
        );

    /// <summary>A kept stitch file; null where none has that token.</summary>
    internal static async Task<byte[]?> Kept(string token, AssetStore assets, CancellationToken cancellation) =>
        await assets.Find(token, cancellation) is { Kind: StitchDesignShelf.Kind or ImportedDrawings.Kind } asset
            ? asset.Bytes
            : null;

    /// <summary>A file, or the stitch files in a zip.</summary>
    internal static Result<List<(string Name, byte[] Bytes)>> Unfolded(string name, byte[] bytes)
    {
        if (bytes.Length < 4 || bytes[0] != 'P' || bytes[1] != 'K')
        {
            return new List<(string, byte[])> { (name, bytes) };
        }
        var found = new List<(string, byte[])>();
        var room = 2 * LargestEntry;
        try
        {
            using var zip = new ZipArchive(new MemoryStream(bytes), ZipArchiveMode.Read);
            foreach (var entry in zip.Entries.Take(1_000))
            {
                var ending = Path.GetExtension(entry.Name).TrimStart('.').ToLowerInvariant();
                if (entry.Name.Length == 0 || !StitchDesignFiles.Endings.Contains(ending))
                {
                    continue;
                }
                if (found.Count > OpenedFile.MostSizes)
                {
                    break;
                }
                using var stream = entry.Open();
                using var whole = new MemoryStream();
                var buffer = new byte[81_920];
                int read;
                while ((read = stream.Read(buffer)) > 0)
                {
                    room -= read;
                    if (room < 0)
                    {
                        return new Refusal(
                            "stitches-too-large",
                            "file",
                            $"This zip unfolds into more than the {2 * LargestEntry / 1_000_000} MB that are read."
                        );
                    }
                    whole.Write(buffer, 0, read);
                }
                found.Add((entry.Name, whole.ToArray()));
            }
        }
        catch (InvalidDataException)
        {
            return new Refusal("stitches-foreign", "file", "This zip can't be opened; it may be damaged, or cut off.");
        }
        return found;
    }

    /// <summary>What a file is called, without its ending; at most 60 signs.</summary>
    internal static string Short(string file)
    {
        var name = PlainText.Line(Path.GetFileNameWithoutExtension(file));
        name = name.Length > 60 ? name[..60] : name;
        return name.Length == 0 ? "Stitches" : name;
    }

    internal static Refusal Unknown(string place) =>
        new("import-unknown", place, "That stitch file is not known any more; choose it again.")
        {
            Kind = RefusalKind.NotFound,
        };
}
