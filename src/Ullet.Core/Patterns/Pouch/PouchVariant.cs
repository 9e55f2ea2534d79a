using System.Collections.Immutable;

namespace Ullet.Core.Patterns;

/// <summary>How a zip pouch is lined and closed.</summary>
/// <param name="Id">Names it for ever.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Sentence">What it means for hands.</param>
internal sealed record PouchVariant(string Id, string Name, string Sentence)
{
    /// <summary>True where a lining lies behind the panels and the back.</summary>
    internal required bool HasLining { get; init; }

    /// <summary>True where the lining has a seam of its own, with a gap through which the work is turned first.</summary>
    internal required bool HasGap { get; init; }

    internal const string ChoiceId = "variant";

    internal static readonly PouchVariant Lined = new(
        "lined",
        "lined, seams hidden",
        "Two closing seams; turned through a gap in the lining, then through the zip."
    )
    {
        HasLining = true,
        HasGap = true,
    };

    internal static readonly PouchVariant Quick = new(
        "quick",
        "lined, quick",
        "One closing seam, its raw edges inside the pouch and held by a zigzag; turned through the zip."
    )
    {
        HasLining = true,
        HasGap = false,
    };

    internal static readonly PouchVariant Unlined = new(
        "unlined",
        "unlined",
        "Interfaced panels without a lining; the stabiliser is torn away, and the pouch is turned through the zip."
    )
    {
        HasLining = false,
        HasGap = false,
    };

    internal static readonly ImmutableArray<PouchVariant> All = [Lined, Quick, Unlined];

    internal static PatternChoice Choice { get; } =
        new(
            ChoiceId,
            "Variant",
            Lined.Id,
            [.. All.Select(row => new PatternOption(row.Id, row.Name) { Sentence = row.Sentence })]
        );
}
