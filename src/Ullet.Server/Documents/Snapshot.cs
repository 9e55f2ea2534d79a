using System.IO.Compression;
using Ullet.Core.Documents;
using Ullet.Core.Projects;

namespace Ullet.Server.Documents;

/// <summary>A document as it is kept in the database: compressed JSON.</summary>
internal static class Snapshot
{
    /// <summary>No document unfolds into more, bytes.</summary>
    private const int MostBytes = 96_000_000;

    internal static byte[] Pack(Project project)
    {
        using var packed = new MemoryStream();
        using (var zip = new BrotliStream(packed, CompressionLevel.Fastest, leaveOpen: true))
        {
            zip.Write(ProjectJson.Write(project));
        }
        return packed.ToArray();
    }

    /// <exception cref="DamagedProjectException">When a stored document can't be read.</exception>
    internal static Project Unpack(byte[] snapshot) =>
        TryUnpack(snapshot, out var project, out var why) ? project! : throw new DamagedProjectException(why);

    /// <summary>Reads a stored document, or says why it can't be.</summary>
    internal static bool TryUnpack(byte[] snapshot, out Project? project, out string why)
    {
        (project, why) = (null, "");
        if (Json(snapshot) is not { } json)
        {
            why = "what is stored of it is damaged";
            return false;
        }
        var read = DocumentReader.Stored(json);
        if (!read.IsOk)
        {
            why = read.Refusal!.Words;
            return false;
        }
        project = read.Value;
        return true;
    }

    /// <summary>The document's text; null when it can't be unpacked.</summary>
    internal static byte[]? Json(byte[] snapshot)
    {
        try
        {
            using var packed = new MemoryStream(snapshot);
            using var zip = new BrotliStream(packed, CompressionMode.Decompress);
            using var json = new MemoryStream();
            var buffer = new byte[81920];
            int read;
            while ((read = zip.Read(buffer)) > 0)
            {
                if (json.Length + read > MostBytes)
                {
                    return null;
                }
                json.Write(buffer, 0, read);
            }
            return json.Length == 0 ? null : json.ToArray();
        }
        catch (Exception wrong) when (wrong is InvalidOperationException or InvalidDataException or IOException)
        {
            return null;
        }
    }
}

/// <summary>A stored document can't be read: a fault of an older build, or of the disk.</summary>
public sealed class DamagedProjectException(string why) : Exception(why);
