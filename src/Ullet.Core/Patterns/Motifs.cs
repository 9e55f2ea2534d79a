using System.Collections.Immutable;
using Ullet.Core.Projects;
using Ullet.Core.Sketches;

namespace Ullet.Core.Patterns;

/// <summary>The motifs that fill-ins of patterns offer: appliqué pieces cut beforehand and fused.</summary>
internal static class Motifs
{
    internal const string None = "None";

    /// <summary>The bodies of drawings of our own that are one piece each.</summary>
    private static readonly ImmutableArray<Motif> All =
    [
        .. new[] { "leaf", "beet", "heart", "star", "apple", "pear", "moon" }
            .Select(id => SketchShelf.Find(id)!)
            .Select(sketch => (sketch.Name, Body: sketch.Parts.First(part => part.Role == SketchRole.Body)))
            .Select(each => new Motif(
                each.Name,
                each.Body.Shape,
                each.Body.Box.Width / each.Body.Box.Height,
                each.Body.Box.Rotation,
                each.Body.Colour.Cloth
            )),
    ];

    internal static readonly ImmutableArray<string> Names = [None, .. All.Select(motif => motif.Name)];

    /// <param name="Name">What it is called.</param>
    /// <param name="Shape">Its form.</param>
    /// <param name="Ratio">Width over height.</param>
    /// <param name="Turn">Degrees clockwise.</param>
    /// <param name="Cloth">The cloth that it begins with.</param>
    private sealed record Motif(string Name, ShapeSource Shape, double Ratio, double Turn, Cloth Cloth);

    /// <summary>The cloth of the motif that a pattern's fill-in asks for, to be listed among what is cut; none for no motif.</summary>
    internal static IEnumerable<ClothNeed> ClothOf(IPattern pattern, PatternUse use, PatternStuff stuff)
    {
        var name = use.TextOf("motif") ?? pattern.FillIns.First(fill => fill.Id == "motif").Usual;
        return All.Where(motif => motif.Name == name)
            .Select(motif => new ClothNeed(
                stuff.Of(motif.Cloth),
                "motif",
                0,
                0,
                Advice: "a scrap with fusible backing"
            ));
    }

    /// <summary>The piece of a motif in a room, keeping its form; null for none.</summary>
    /// <param name="name">One of <see cref="Names"/>.</param>
    /// <param name="place">Where it goes.</param>
    /// <param name="cover">How far its cover reaches past its outline, mm.</param>
    internal static Element? Piece(string name, FillInPlace place, double cover)
    {
        if (All.FirstOrDefault(motif => motif.Name == name) is not { } known)
        {
            return null;
        }
        var room = place.Room.Grown(-cover);
        var height = Math.Min(room.Height, room.Width / known.Ratio);
        return new Element
        {
            Id = place.ElementId,
            PatternPart = place.ElementId[2..],
            Name = name,
            Form = OutlinedForms.Of(known.Shape),
            Making = new ClothMaking
            {
                ClothId = known.Cloth.Id,
                Method = Method.CutBeforehand,
                Holding = Holding.Fused,
            },
            Box = new ElementBox(room.Centre.X, room.Centre.Y, height * known.Ratio, height, known.Turn),
        };
    }
}
