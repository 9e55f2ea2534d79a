using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>The ranges of fill-ins.</summary>
public static class FillInLimits
{
    /// <summary>Most fill-ins of a project.</summary>
    public const int MostOfProject = 60;

    /// <summary>Most characters of any value of an order.</summary>
    public const int LongestValue = 200;

    /// <summary>Most characters of words where nothing is said.</summary>
    public const int UsualLongest = 24;

    /// <summary>Of capitals, mm.</summary>
    public static readonly (double Least, double Most) Height = (2, 500);

    /// <summary>Says that options are missing or too many, or null.</summary>
    internal static Refusal? CheckOptions(string label, ImmutableArray<string> options) =>
        options.Length is < 1 or > DrawingFillIn.MostOptions
            ? new Refusal(
                "options-count",
                "options",
                $"{label} needs 1 to {DrawingFillIn.MostOptions} things to choose from."
            )
        : options.Distinct(StringComparer.OrdinalIgnoreCase).Count() < options.Length
            ? new Refusal("options-twice", "options", $"{label} offers the same thing twice.")
        : null;
}
