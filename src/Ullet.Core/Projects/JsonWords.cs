using System.Text.Json;
using System.Text.RegularExpressions;

namespace Ullet.Core.Projects;

/// <summary>What the JSON reader complains of, in words for people: without names of types.</summary>
public static partial class JsonWords
{
    /// <summary>Why JSON can't be taken, without a full stop; with its place where the reader tells one.</summary>
    public static string Of(JsonException wrong) => $"{Why(wrong.Message)} (at {wrong.Path ?? "its start"})";

    private static string Why(string message) =>
        message.StartsWith("The JSON value could not be converted", StringComparison.Ordinal)
            ? "a value has the wrong kind"
        : message.Contains("missing required properties", StringComparison.Ordinal)
            ? "a value is missing: " + message[(message.LastIndexOf(':') + 1)..].Trim().TrimEnd('.')
        : Quoted().Match(message) is { Success: true } found
        && message.Contains("type discriminator", StringComparison.Ordinal)
            ? $"there is no kind \"{found.Groups["word"].Value}\""
        : message.StartsWith("Duplicate property", StringComparison.Ordinal)
            ? $"the name \"{Quoted().Match(message).Groups["word"].Value}\" stands there twice"
        : message.Contains("invalid", StringComparison.OrdinalIgnoreCase)
        || message.Contains("Expected", StringComparison.Ordinal)
            ? "it is no JSON" + LinePart().Match(message).Value
        : "it is not as it should be";

    [GeneratedRegex(@"'(?<word>[\w $.-]{1,60})'", RegexOptions.ExplicitCapture, 200)]
    private static partial Regex Quoted();

    /// <summary>" LineNumber: 3" of the reader's messages, counted from 0.</summary>
    [GeneratedRegex(@"(?= LineNumber: \d+)", RegexOptions.ExplicitCapture, 200)]
    private static partial Regex LinePart();
}
