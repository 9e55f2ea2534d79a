using Ullet.Core.Projects;

namespace Ullet.Server.Shelf;

/// <summary>How the shelf is sorted.</summary>
internal enum ShelfSort
{
    /// <summary>Changed last first.</summary>
    Changed,

    /// <summary>By title.</summary>
    Name,

    /// <summary>Begun last first.</summary>
    Begun,
}

/// <summary>Finds projects on the shelf.</summary>
internal static class ShelfSearch
{
    /// <summary>Those that answer to all that is asked, in the asked order.</summary>
    /// <param name="all">The shelf, changed last first.</param>
    /// <param name="search">Words, each of which stands in title, tags, set, hoop, names and words of the wall, cloths or threads.</param>
    /// <param name="tag">A tag; empty for any.</param>
    /// <param name="set">A set's id; empty for any.</param>
    /// <param name="sort">Their order.</param>
    internal static IEnumerable<ShelfEntry> Of(
        IEnumerable<ShelfEntry> all,
        string search,
        string tag,
        string set,
        ShelfSort sort
    )
    {
        var words = SearchText.Words(search);
        var key = SearchText.Folded(tag);
        var found = all.Where(entry =>
            (words.Length == 0 || entry.Holds(words))
            && (key.Length == 0 || entry.HasTag(key))
            && (set.Length == 0 || entry.Set?.Id == set)
        );
        return sort switch
        {
            ShelfSort.Changed => found,
            ShelfSort.Name => found.OrderBy(entry => entry.Row.Title, StringComparer.OrdinalIgnoreCase),
            ShelfSort.Begun => found.OrderByDescending(entry => entry.Row.CreatedAt),
            _ => throw new ArgumentOutOfRangeException(nameof(sort)),
        };
    }
}
