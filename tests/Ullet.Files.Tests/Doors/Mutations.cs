using System.Text;

namespace Ullet.Doors;

/// <summary>Changes bytes and texts at random, from a seed.</summary>
internal sealed class Mutations(int seed)
{
    /// <summary>Words that readers stumble over.</summary>
    private static readonly string[] Words =
    [
        "1e300",
        "-1e300",
        "1e-320",
        "NaN",
        "Infinity",
        "-0",
        "0",
        "99999999999",
        "-2147483648",
        "2147483647",
        "0.0000001",
        "null",
        "\"",
        "<",
        "</g>",
        "<g>",
        "&amp;",
        "\u2028",
        "\0",
        "M0 0",
        "Z",
        "A1 1 0 0 1 9e9 9e9",
        "{",
        "}",
        "[",
        "]",
        ",",
        "\n",
        "9999999",
        "0\nSPLINE\n",
        "0\nINSERT\n2\nA\n",
        "step 1 stitch",
        "s 1 1",
        "translate(1e9)",
    ];

    private readonly Random _random = new(seed);

    internal Random Random => _random;

    /// <summary>One to eight changes of a file.</summary>
    internal byte[] Of(byte[] file)
    {
        var bytes = new List<byte>(file);
        for (var changes = 1 + _random.Next(8); changes > 0 && bytes.Count > 0; changes--)
        {
            var at = _random.Next(bytes.Count);
            var span = Math.Min(bytes.Count - at, 1 + _random.Next(1 << _random.Next(12)));
            switch (_random.Next(7))
            {
                case 0:
                    bytes[at] ^= (byte)(1 << _random.Next(8));
                    break;
                case 1:
                    bytes[at] = (byte)_random.Next(256);
                    break;
                case 2:
                    bytes.RemoveRange(at, span);
                    break;
                case 3:
                    bytes.InsertRange(at, bytes.GetRange(_random.Next(bytes.Count - span + 1), span));
                    break;
                case 4:
                    bytes.InsertRange(at, Encoding.UTF8.GetBytes(Words[_random.Next(Words.Length)]));
                    break;
                case 5:
                    Number(bytes, at);
                    break;
                default:
                    Repeated(bytes, at, span);
                    break;
            }
        }
        return [.. bytes];
    }

    internal string Word() => Words[_random.Next(Words.Length)];

    /// <summary>Puts another number in the place of the one that stands next.</summary>
    private void Number(List<byte> bytes, int at)
    {
        while (at < bytes.Count && bytes[at] is < (byte)'0' or > (byte)'9')
        {
            at++;
        }
        var end = at;
        while (end < bytes.Count && bytes[end] is (>= (byte)'0' and <= (byte)'9') or (byte)'.')
        {
            end++;
        }
        bytes.RemoveRange(at, end - at);
        bytes.InsertRange(at, Encoding.UTF8.GetBytes(Words[_random.Next(13)]));
    }

    /// <summary>A stretch many times over, up to a megabyte.</summary>
    private void Repeated(List<byte> bytes, int at, int span)
    {
        var stretch = bytes.GetRange(at, span);
        var times = Math.Min(1 << _random.Next(12), 1_000_000 / span);
        for (var i = 0; i < times; i++)
        {
            bytes.InsertRange(at, stretch);
        }
    }
}
