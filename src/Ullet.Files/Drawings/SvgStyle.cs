using System.Text.RegularExpressions;
using System.Xml.Linq;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Drawings;

/// <summary>What of an element's style matters for its outline; handed down from parent to child.</summary>
/// <param name="Fill">The filling's name; null for none.</param>
/// <param name="Rule">What is filled.</param>
/// <param name="IsVisible">False for what is hidden.</param>
internal sealed record SvgStyle(string? Fill, FillRule Rule, bool IsVisible)
{
    internal static readonly SvgStyle Initial = new("#000000", FillRule.NonZero, true);

    internal bool IsFilled => Fill is not null;
}

/// <summary>The style rules of one file: presentation attributes, style attributes, and simple rules of its style elements.</summary>
internal sealed partial class SvgStyles
{
    private static readonly string[] Wanted = ["fill", "fill-rule", "visibility", "display"];

    /// <summary>The rules of each selector, with their numbers in the file's order.</summary>
    private readonly Dictionary<string, List<(int Number, Dictionary<string, string> Set)>> _rules = new(
        StringComparer.Ordinal
    );

    internal SvgStyles(XElement root)
    {
        var number = 0;
        foreach (var sheet in root.Descendants().Where(element => element.Name.LocalName == "style"))
        {
            foreach (Match rule in Rule().Matches(Comment().Replace(sheet.Value, "")))
            {
                var set = Declarations(rule.Groups["set"].Value);
                foreach (var selector in rule.Groups["selectors"].Value.Split(',', StringSplitOptions.TrimEntries))
                {
                    Budget.Spend();
                    var own = _rules.TryGetValue(selector, out var known) ? known : _rules[selector] = [];
                    own.Add((number++, set));
                }
            }
        }
    }

    /// <summary>The element's style, and whether it is drawn at all (display).</summary>
    internal (SvgStyle Style, bool IsShown) Of(XElement element, SvgStyle parent)
    {
        var set = new Dictionary<string, string>(StringComparer.Ordinal);
        foreach (var name in Wanted)
        {
            if ((string?)element.Attribute(name) is { } own)
            {
                set[name] = own;
            }
        }
        foreach (var rule in Rules(element))
        {
            Budget.Spend();
            foreach (var (name, value) in rule)
            {
                set[name] = value;
            }
        }
        foreach (var (name, value) in Declarations((string?)element.Attribute("style") ?? ""))
        {
            set[name] = value;
        }
        string? Value(string name) =>
            set.TryGetValue(name, out var value) && value.Trim() is var trimmed and not "inherit" ? trimmed : null;
        var style = new SvgStyle(
            Value("fill") is { } fill ? Filling(fill) : parent.Fill,
            Value("fill-rule") switch
            {
                "evenodd" => FillRule.EvenOdd,
                "nonzero" => FillRule.NonZero,
                _ => parent.Rule,
            },
            Value("visibility") is { } seen ? seen == "visible" : parent.IsVisible
        );
        return (style, Value("display") != "none");
    }

    /// <summary>One name for one filling, as far as a glance tells; null for none.</summary>
    private static string? Filling(string value) =>
        value.ToLowerInvariant() switch
        {
            "none" or "transparent" => null,
            "black" => "#000000",
            "white" => "#ffffff",
            ['#', var r, var g, var b] => $"#{r}{r}{g}{g}{b}{b}",
            var other => other,
        };

    /// <summary>What the rules set whose selectors name an element: by its kind, a class, its id; in the file's order.</summary>
    private IEnumerable<Dictionary<string, string>> Rules(XElement element)
    {
        if (_rules.Count == 0)
        {
            return [];
        }
        var selectors = ((string?)element.Attribute("class") ?? "")
            .Split(' ', StringSplitOptions.RemoveEmptyEntries)
            .Distinct(StringComparer.Ordinal)
            .Select(name => "." + name)
            .Append("#" + (string?)element.Attribute("id"));
        if (element.Name.LocalName.Length > 1)
        {
            selectors = selectors.Append(element.Name.LocalName);
        }
        return selectors
            .SelectMany(selector => _rules.GetValueOrDefault(selector) ?? [])
            .OrderBy(rule => rule.Number)
            .Select(rule => rule.Set);
    }

    private static Dictionary<string, string> Declarations(string text)
    {
        var set = new Dictionary<string, string>(StringComparer.Ordinal);
        foreach (var part in text.Split(';', StringSplitOptions.RemoveEmptyEntries))
        {
            var at = part.IndexOf(':', StringComparison.Ordinal);
            if (at > 0 && Wanted.Contains(part[..at].Trim()))
            {
                set[part[..at].Trim()] = part[(at + 1)..].Replace("!important", "", StringComparison.Ordinal).Trim();
            }
        }
        return set;
    }

    [GeneratedRegex(@"(?<selectors>[^{}]+)\{(?<set>[^{}]*)\}", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Rule();

    [GeneratedRegex(@"/\*.*?\*/", RegexOptions.Singleline, 1000)]
    private static partial Regex Comment();
}
