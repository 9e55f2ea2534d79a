using System.Net;
using System.Text.RegularExpressions;
using Ullet.Core.Projects;

namespace Ullet.Server.Help;

/// <summary>Something computed that a page of the help asks for.</summary>
/// <param name="Kind">"method", "cover", "hand", "verbs" or "keys".</param>
/// <param name="Name">Which one; empty where there is one only.</param>
internal sealed partial record HelpInsert(string Kind, string Name)
{
    [GeneratedRegex(
        @"^\[\[(?<kind>\w+)( (?<name>\w+))?\]\]$",
        RegexOptions.ExplicitCapture | RegexOptions.CultureInvariant,
        1000
    )]
    private static partial Regex Pattern { get; }

    /// <summary>What a line asks for; null for any other line.</summary>
    internal static HelpInsert? Asked(string line) =>
        Pattern.Match(line.Trim()) is { Success: true } match
            ? new HelpInsert(match.Groups["kind"].Value, match.Groups["name"].Value)
            : null;

    /// <exception cref="InvalidOperationException">When a page asks for what there is none of.</exception>
    internal string Html() =>
        Kind switch
        {
            "method" => Steps(HelpExamples.OfMethod(Enum.Parse<Method>(Name, ignoreCase: true))),
            "cover" =>
                $"<p class=\"help-cover\"><img loading=\"lazy\" alt=\"\" src=\"/api/help/covers/{Name}.png\"></p>",
            "hand" => HelpExamples.OfHand(Enum.Parse<HandKind>(Name, ignoreCase: true)) is { } step
                ? Steps([step])
                : "",
            "verbs" => Verbs(),
            "keys" => Table(KeyTable.All.Select(row => (row.Keys, row.What))),
            _ => throw new InvalidOperationException($"The help has no [[{Kind}]]."),
        };

    /// <summary>What it says, to be searched.</summary>
    internal string Text() =>
        Kind switch
        {
            "verbs" => string.Join(' ', VerbTable.All.Select(verb => $"{verb.Name} {verb.About}")),
            "keys" => string.Join(' ', KeyTable.All.Select(row => $"{row.Keys} {row.What}")),
            _ => "",
        };

    private static string Steps(IEnumerable<HelpStep> steps) =>
        "<ol class=\"help-steps\">"
        + string.Concat(
            steps.Select(step =>
                $"<li data-hands=\"{(step.IsByHand ? "true" : "false")}\">"
                + $"{HelpExamples.Drawing(step.Example, step.Number)}<p><b>{step.Number}</b> {Coded(step.Words)}</p></li>"
            )
        )
        + "</ol>";

    private static string Verbs() =>
        string.Concat(
            VerbTable
                .All.GroupBy(verb => verb.Place)
                .Select(group =>
                    $"<h3>{Place(group.Key)}</h3>"
                    + Table(
                        group.Select(verb =>
                            (verb.Name, verb.About + (verb.Keys.Length > 0 ? $" Keys: {verb.Keys}." : ""))
                        )
                    )
                )
        );

    private static string Place(VerbPlace place) =>
        place switch
        {
            VerbPlace.Everywhere => "Anywhere",
            VerbPlace.Project => "In a project",
            VerbPlace.Selection => "With what is selected on the wall",
            _ => throw new ArgumentOutOfRangeException(nameof(place)),
        };

    private static string Table(IEnumerable<(string What, string Does)> rows) =>
        "<dl class=\"help-table\">"
        + string.Concat(rows.Select(row => $"<dt>{Coded(row.What)}</dt><dd>{Coded(row.Does)}</dd>"))
        + "</dl>";

    private static string Coded(string text) => WebUtility.HtmlEncode(text);
}
