using System.Text.RegularExpressions;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Drawings;

/// <summary>Reads SVG's transform lists.</summary>
internal static partial class SvgTransform
{
    /// <summary>The map of a list such as "translate(3 4) rotate(90)"; null when it can't be read.</summary>
    internal static Affine? Parse(string? text)
    {
        if (string.IsNullOrWhiteSpace(text))
        {
            return Affine.Identity;
        }
        var map = Affine.Identity;
        var end = 0;
        foreach (Match part in Part().Matches(text))
        {
            if (text[end..part.Index].Trim([' ', ',', '\t', '\r', '\n']).Length > 0)
            {
                return null;
            }
            end = part.Index + part.Length;
            if (
                Numbers(part.Groups["numbers"].Value) is not { } numbers
                || One(part.Groups["name"].Value, numbers) is not { } one
            )
            {
                return null;
            }
            // The list's first map is applied last.
            map = one.Then(map);
        }
        return text[end..].Trim([' ', ',', '\t', '\r', '\n']).Length > 0 ? null : map;
    }

    /// <summary>Numbers divided by blanks or commas; null when one is none.</summary>
    internal static double[]? Numbers(string text)
    {
        var parts = text.Split([' ', ',', '\t', '\r', '\n'], StringSplitOptions.RemoveEmptyEntries);
        var numbers = new double[parts.Length];
        for (var i = 0; i < parts.Length; i++)
        {
            if (Measure.Read(parts[i]) is not { } number)
            {
                return null;
            }
            numbers[i] = number;
        }
        return numbers;
    }

    private static Affine? One(string name, double[] n) =>
        (name, n) switch
        {
            ("matrix", [var a, var b, var c, var d, var e, var f]) => new Affine(a, b, c, d, e, f),
            ("translate", [var x]) => Affine.Translate(x, 0),
            ("translate", [var x, var y]) => Affine.Translate(x, y),
            ("scale", [var s]) => Affine.Scale(s, s),
            ("scale", [var x, var y]) => Affine.Scale(x, y),
            ("rotate", [var turn]) => Affine.Rotate(turn),
            ("rotate", [var turn, var x, var y]) => Affine
                .Translate(-x, -y)
                .Then(Affine.Rotate(turn))
                .Then(Affine.Translate(x, y)),
            ("skewX", [var lean]) => new Affine(1, 0, Math.Tan(lean * Math.PI / 180), 1, 0, 0),
            ("skewY", [var lean]) => new Affine(1, Math.Tan(lean * Math.PI / 180), 0, 1, 0, 0),
            _ => null,
        };

    [GeneratedRegex(@"(?<name>[A-Za-z]+)\s*\((?<numbers>[^()]*)\)", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Part();
}
