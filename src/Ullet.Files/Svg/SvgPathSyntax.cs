using System.Text.RegularExpressions;

namespace Ullet.Files.Svg;

/// <summary>The grammar of SVG path data (SVG 2, 9.3.9): SkiaSharp's parser stops at the first fault and keeps what came before.</summary>
internal static partial class SvgPathSyntax
{
    private const string Number = @"[\s,]*[+-]?(?:[0-9]+\.?[0-9]*|\.[0-9]+)(?:[eE][+-]?[0-9]+)?";

    private const string Flag = @"[\s,]*[01]";

    private const string Commands =
        "[MmLlTt](?:"
        + Number
        + Number
        + ")+|[HhVv](?:"
        + Number
        + ")+|[Cc](?:"
        + Six
        + ")+|[SsQq](?:"
        + Four
        + ")+|[Aa](?:"
        + Number
        + Number
        + Number
        + Flag
        + Flag
        + Number
        + Number
        + ")+|[Zz]";

    private const string Four = Number + Number + Number + Number;

    private const string Six = Four + Number + Number;

    /// <summary>True when every command has the numbers that it needs and nothing else stands between them.</summary>
    internal static bool IsWhole(string data) =>
        data.AsSpan().TrimStart() is [] or ['M' or 'm', ..] && Whole().IsMatch(data);

    [GeneratedRegex(
        @"^[\s,]*(?:(?:" + Commands + @")[\s,]*)*$",
        RegexOptions.NonBacktracking | RegexOptions.CultureInvariant
    )]
    private static partial Regex Whole();
}
