using System.Collections.Immutable;

namespace Ullet.Core.Stitches;

/// <summary>What a person says of columns beside their numbers.</summary>
/// <param name="Directions">Lines across them that turn their strokes.</param>
/// <param name="FromMiddle">True to begin with the part in the middle.</param>
/// <param name="JoinNearer">Parts nearer than this are sewn on without a trim, mm.</param>
public sealed record ColumnWork(ImmutableArray<StrokeDirection> Directions, bool FromMiddle, double JoinNearer)
{
    public static readonly ColumnWork Plain = new([], false, 0);
}
