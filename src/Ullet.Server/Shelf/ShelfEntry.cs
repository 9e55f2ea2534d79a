using System.Collections.Immutable;
using Ullet.Core.Projects;
using Ullet.Server.Data;

namespace Ullet.Server.Shelf;

/// <summary>What is wrong with a project on the shelf.</summary>
/// <param name="Words">Why it can't be opened.</param>
/// <param name="LastReadable">When its last readable state was saved, Unix ms; null when there is none.</param>
public sealed record ShelfDamage(string Words, long? LastReadable);

/// <summary>A set that projects belong to.</summary>
public sealed record ShelfSet(string Id, string Name);

/// <summary>A project as the shelf knows it.</summary>
/// <param name="Row">What stands of it in the database.</param>
/// <param name="Tags">Its tags, by their names.</param>
/// <param name="Set">Its set.</param>
internal sealed record ShelfEntry(ShelfRow Row, ImmutableArray<string> Tags, ShelfSet? Set)
{
    internal ShelfFacts Facts { get; init; } = new("", 0, "");

    internal ShelfDamage? Damage { get; init; }

    internal long? DeletedAt => Row.DeletedAt;

    private readonly string _folded = SearchText.Folded($"{Row.Title}\n{string.Join('\n', Tags)}\n{Set?.Name}");

    /// <summary>True when each of some folded words stands in what is told of it.</summary>
    internal bool Holds(string[] words) =>
        Array.TrueForAll(
            words,
            word =>
                _folded.Contains(word, StringComparison.Ordinal)
                || Facts.Words.Contains(word, StringComparison.Ordinal)
                || Facts.Hoop.Contains(word, StringComparison.OrdinalIgnoreCase)
        );

    /// <summary>True for a tag that it has, whatever case and accents.</summary>
    internal bool HasTag(string key) => Tags.Any(tag => SearchText.Folded(tag) == key);
}
