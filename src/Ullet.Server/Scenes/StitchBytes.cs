using System.Buffers.Binary;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;

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

    internal static string KeyOf(ProgramStitches step) => ContentHash.OfBytes(Of(step)).Hex;
}
