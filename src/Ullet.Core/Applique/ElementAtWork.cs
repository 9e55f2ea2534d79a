using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Applique;

/// <summary>What an element is sewn as: its pieces of cloth in their order, or a line without cloth.</summary>
/// <param name="Pieces">Each piece of cloth with the key of its outline.</param>
/// <param name="Line">The stage of a line; null for cloth, and for words without a font.</param>
public sealed record ElementAtWork(ImmutableArray<(PieceAtWork Work, ContentHash OutlineKey)> Pieces, Stage? Line);
