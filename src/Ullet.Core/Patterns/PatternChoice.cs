using System.Collections.Immutable;

namespace Ullet.Core.Patterns;

/// <summary>Something that a pattern is asked besides its sizes: a variant, an outline.</summary>
/// <param name="Id">Names it.</param>
/// <param name="Label">What it is called.</param>
/// <param name="Usual">The option where none is asked for.</param>
/// <param name="Options">What may be chosen.</param>
public sealed record PatternChoice(string Id, string Label, string Usual, ImmutableArray<PatternOption> Options)
{
    /// <summary>Asked only with some option of another choice; null for always.</summary>
    public PatternCondition? Only { get; init; }
}

/// <summary>One of a choice.</summary>
/// <param name="Id">Names it.</param>
/// <param name="Name">What it is called.</param>
public sealed record PatternOption(string Id, string Name)
{
    /// <summary>What it means for hands, in a sentence; null where its name says all.</summary>
    public string? Sentence { get; init; }

    /// <summary>True for one that needs a drawing of the user's own, which there is only once there is a project.</summary>
    public bool NeedsDrawing { get; init; }
}

/// <summary>With which options of a choice something is asked.</summary>
/// <param name="ChoiceId">The choice.</param>
/// <param name="Options">Its options.</param>
public sealed record PatternCondition(string ChoiceId, ImmutableArray<string> Options);
