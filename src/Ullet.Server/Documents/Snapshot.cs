using System.IO.Compression;
using Ullet.Core.Projects;

namespace Ullet.Server.Documents;

/// <summary>A document as it is kept in the database: compressed JSON.</summary>
internal static class Snapshot
{
    internal static byte[] Pack(Project project)
    {
        using var packed = new MemoryStream();
        using (var zip = new BrotliStream(packed, CompressionLevel.Fastest, leaveOpen: true))
        {
            zip.Write(ProjectJson.Write(project));
        }
        return packed.ToArray();
    }

    /// <exception cref="InvalidDataException">When a stored document can't be read: a fault of ours or of the disk.</exception>
    internal static Project Unpack(byte[] snapshot)
    {
        using var packed = new MemoryStream(snapshot);
        using var zip = new BrotliStream(packed, CompressionMode.Decompress);
        using var json = new MemoryStream();
        zip.CopyTo(json);
        var read = ProjectJson.Read(json.ToArray());
        return read.IsOk ? read.Value : throw new InvalidDataException(read.Refusal!.Words);
    }
}
