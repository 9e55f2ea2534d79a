using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>The pattern that a project was made from, with what was asked of it; with it the project is made anew at another
/// size.</summary>
/// <param name="PatternId">Which pattern.</param>
public sealed record PatternUse(string PatternId)
{
    /// <summary>Which making of the pattern the project was made by; null for the first.</summary>
    public int? Making { get; init; }

    /// <summary>Sizes and counts that differ from the pattern's usual ones.</summary>
    public ImmutableArray<PatternNumber> Numbers { get; init; } = [];

    /// <summary>Variants and outlines that differ from the pattern's usual ones.</summary>
    public ImmutableArray<PatternPick> Choices { get; init; } = [];

    /// <summary>A form of the user's own for the pattern's outline, fitted to its size; null without one.</summary>
    public ShapeSource? Outline { get; init; }

    /// <summary>What its fill-ins say.</summary>
    public ImmutableArray<PatternText> FillIns { get; init; } = [];

    public double? NumberOf(string id) => Numbers.FirstOrDefault(number => number.Id == id)?.Value;

    public string? ChoiceOf(string id) => Choices.FirstOrDefault(pick => pick.Id == id)?.OptionId;

    public string? TextOf(string id) => FillIns.FirstOrDefault(text => text.Id == id)?.Text;
}

/// <summary>A size (mm) or a count of a pattern.</summary>
public sealed record PatternNumber(string Id, double Value);

/// <summary>What a fill-in says; empty leaves its step out.</summary>
public sealed record PatternText(string Id, string Text);

/// <summary>What is chosen of a pattern.</summary>
/// <param name="Id">The choice.</param>
/// <param name="OptionId">Its option.</param>
public sealed record PatternPick(string Id, string OptionId);
