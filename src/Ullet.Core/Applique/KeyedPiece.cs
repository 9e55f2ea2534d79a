using Ullet.Core.Pipeline;

namespace Ullet.Core.Applique;

/// <summary>A piece of cloth with what stands for it in keys.</summary>
/// <param name="Work">The piece.</param>
/// <param name="LaidKey">Its laid outline.</param>
/// <param name="LineKey">The line that holds it.</param>
/// <param name="EdgeKey">Its edge, covered and visible stretches counted.</param>
public sealed record KeyedPiece(PieceAtWork Work, ContentHash LaidKey, ContentHash LineKey, ContentHash EdgeKey);
