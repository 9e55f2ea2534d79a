using System.Collections.Immutable;

namespace Ullet.Core.Pipeline;

/// <summary>What sort of no a refusal is.</summary>
public enum RefusalKind
{
    /// <summary>What was given is out of its range, or can't be read.</summary>
    BadInput,

    /// <summary>What was named is not there.</summary>
    NotFound,

    /// <summary>It was there when it was asked for, and something else has happened since; or something must be settled first.</summary>
    Conflict,

    /// <summary>Everything is there and in its range, and the job does not allow it.</summary>
    NotPossible,

    /// <summary>More than is taken at once.</summary>
    TooLarge,
}

/// <summary>Why a user's wish was refused: a value, never an exception.</summary>
public sealed record Refusal
{
    private readonly Sentence? _sentence;
    private readonly string? _words;

    /// <param name="code">Stable name of the reason, such as "size-out-of-range".</param>
    /// <param name="place">What it is about: a field, an element, a line of a file.</param>
    /// <param name="words">One plain sentence that says what and where, and what to do.</param>
    public Refusal(string code, string place, string words) => (Code, Place, _words) = (code, place, words);

    /// <param name="code">Stable name of the reason.</param>
    /// <param name="place">What it is about.</param>
    /// <param name="sentence">The same sentence with its facts; it is put into words when it is read.</param>
    public Refusal(string code, string place, Sentence sentence) => (Code, Place, _sentence) = (code, place, sentence);

    public string Code { get; }

    public string Place { get; }

    public RefusalKind Kind { get; init; }

    /// <summary>The sentence in words.</summary>
    public string Words => _words ?? _sentence!.ToString();

    /// <summary>What the sentence tells, typed; nothing for one without facts.</summary>
    public ImmutableArray<Fact> Facts => _sentence?.Facts ?? [];

    public bool Equals(Refusal? other) =>
        other is not null && (Code, Place, Kind, Words) == (other.Code, other.Place, other.Kind, other.Words);

    public override int GetHashCode() => HashCode.Combine(Code, Place, Kind, Words);
}
