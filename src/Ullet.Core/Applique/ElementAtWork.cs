using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Applique;

/// <summary>What an element is sewn as: its pieces of cloth in their order, or a line without cloth.</summary>
/// <param name="Pieces">Its pieces of cloth.</param>
/// <param name="Line">The stage of a line; null for cloth, and for words without a font.</param>
public sealed record ElementAtWork(ImmutableArray<KeyedPiece> Pieces, Stage? Line);

/// <summary>A piece of cloth with what stands for it in keys.</summary>
/// <param name="Work">The piece.</param>
/// <param name="LaidKey">Its laid outline.</param>
/// <param name="EdgeKey">Its edge, covered and visible stretches counted.</param>
public sealed record KeyedPiece(PieceAtWork Work, ContentHash LaidKey, ContentHash EdgeKey);
