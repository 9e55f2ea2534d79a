using System.Security.Cryptography;
using System.Text;
using System.Text.Json;

namespace Ullet.Core.Pipeline;

/// <summary>A name made from content: equal content, equal hash. 32 hexadecimal digits.</summary>
public readonly record struct ContentHash(string Hex)
{
    /// <summary>The hash of a document value as it is written to JSON, with a salt such as a station's version.</summary>
    public static ContentHash Of<T>(T value, string salt) =>
        OfBytes([.. Encoding.UTF8.GetBytes(salt), .. JsonSerializer.SerializeToUtf8Bytes(value)]);

    public static ContentHash OfBytes(ReadOnlySpan<byte> bytes) =>
        new(Convert.ToHexStringLower(SHA256.HashData(bytes).AsSpan(0, 16)));

    public static ContentHash Combine(params IEnumerable<ContentHash> hashes) =>
        OfBytes(Encoding.UTF8.GetBytes(string.Concat(hashes.Select(hash => hash.Hex))));

    public override string ToString() => Hex;
}
