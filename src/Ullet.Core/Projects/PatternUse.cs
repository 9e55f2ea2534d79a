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

    /// <summary>What its fill-ins say.</summary>
    public ImmutableArray<PatternText> FillIns { get; init; } = [];

    public double? NumberOf(string id) => Numbers.FirstOrDefault(number => number.Id == id)?.Value;

    public string? TextOf(string id) => FillIns.FirstOrDefault(text => text.Id == id)?.Text;
}

/// <summary>A size (mm) or a count of a pattern.</summary>
public sealed record PatternNumber(string Id, double Value);

/// <summary>What a fill-in says; empty leaves its step out.</summary>
public sealed record PatternText(string Id, string Text);
