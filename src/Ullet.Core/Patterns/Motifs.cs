using System.Collections.Immutable;
using Ullet.Core.Projects;

namespace Ullet.Core.Patterns;

/// <summary>The motifs that fill-ins of patterns offer: appliqué pieces cut beforehand and fused.</summary>
internal static class Motifs
{
    internal const string None = "None";

    internal static readonly ImmutableArray<string> Names = [None, "Leaf", "Beet", "Heart", "Star"];

    internal static readonly Cloth Cloth = PatternCloths.Of("leaf", "leaf green cotton", "#6f8f3f");

    /// <summary>The piece of a motif in a room, keeping its form; null for none.</summary>
    /// <param name="name">One of <see cref="Names"/>.</param>
    /// <param name="place">Where it goes.</param>
    /// <param name="cover">How far its cover reaches past its outline, mm.</param>
    internal static Piece? Piece(string name, FillInPlace place, double cover)
    {
        (ShapeSource Shape, double Ratio)? form = name switch
        {
            "Leaf" => (new LeafShape(), 0.62),
            "Beet" => (new DropShape(), 0.8),
            "Heart" => (new HeartShape(), 1.05),
            "Star" => (new StarShape(), 1.0),
            _ => null,
        };
        if (form is not { } known)
        {
            return null;
        }
        var room = place.Room.Grown(-cover);
        var height = Math.Min(room.Height, room.Width / known.Ratio);
        return new Piece
        {
            Id = place.ElementId,
            PatternPart = place.ElementId[2..],
            Name = name,
            ClothId = place.ClothId,
            Method = Method.CutBeforehand,
            Holding = Holding.Fused,
            Shape = known.Shape,
            Box = new ElementBox(room.Centre.X, room.Centre.Y, height * known.Ratio, height, 0),
        };
    }
}
