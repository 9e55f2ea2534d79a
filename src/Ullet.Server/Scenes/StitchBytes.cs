using System.Buffers.Binary;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Server.Scenes;

/// <summary>A step's needle points as little-endian float32 pairs; a pair of NaN breaks the line.</summary>
internal static class StitchBytes
{
    internal static byte[] Of(ProgramStitches step)
    {
        var bytes = new byte[step.Commands.Length * 8];
        var at = 0;
        foreach (var command in step.Commands)
        {
            var breaks = command.Kind == NeedleKind.Trim;
            BinaryPrimitives.WriteSingleLittleEndian(bytes.AsSpan(at), breaks ? float.NaN : (float)command.At.X);
            BinaryPrimitives.WriteSingleLittleEndian(bytes.AsSpan(at + 4), breaks ? float.NaN : (float)command.At.Y);
            at += 8;
        }
        return bytes;
    }

    /// <summary>The same of a stitch file's commands.</summary>
    internal static byte[] Of(IReadOnlyList<OpenedPoint> points)
    {
        var bytes = new byte[points.Count * 8];
        for (var i = 0; i < points.Count; i++)
        {
            var breaks = points[i].Move == OpenedMove.Trim;
            BinaryPrimitives.WriteSingleLittleEndian(bytes.AsSpan(8 * i), breaks ? float.NaN : (float)points[i].At.X);
            BinaryPrimitives.WriteSingleLittleEndian(
                bytes.AsSpan((8 * i) + 4),
                breaks ? float.NaN : (float)points[i].At.Y
            );
        }
        return bytes;
    }

    internal static string KeyOf(ProgramStitches step) => ContentHash.OfBytes(Of(step)).Hex;
}
