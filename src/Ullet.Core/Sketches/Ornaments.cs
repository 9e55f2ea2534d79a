using System.Collections.Immutable;
using Ullet.Core.Projects;
using static Ullet.Core.Sketches.SketchColours;
using static Ullet.Core.Sketches.SketchParts;

namespace Ullet.Core.Sketches;

/// <summary>Flowers and ornaments.</summary>
internal static class Ornaments
{
    internal static readonly ImmutableArray<Sketch> All =
    [
        new(
            "heart",
            "Heart",
            "ornament love",
            [Shaped("heart", Beetroot, new HeartShape(), new ElementBox(0, 0, 100, 100 / 1.05, 0), 30)]
        ),
        new(
            "star",
            "Star",
            "ornament sky night",
            [Shaped("star", Straw, new StarShape(), new ElementBox(0, 0, 100, 100, 0), 15)]
        ),
        new(
            "tulip",
            "Tulip",
            "flower spring garden ornament",
            [
                Body("leaves", Leaf, "~ 47,98! 28,84 16,58! 38,66|~ 53,98! 62,66 84,58! 72,84", 100),
                Detail("stem", Leaf, "~ 47,54! 47,98! 53,98! 53,54!", 0),
                Body("bloom", Rose, "~ 26,8! 40,20 50,2! 60,20 74,8! 80,36 66,56 50,60 34,56 20,36", 90),
            ]
        ),
        new(
            "daisy",
            "Daisy",
            "flower summer garden ornament",
            [Body("petals", Cream, "8:50,50 ~ 50,34! 58,18 50,2 42,18", 45), Body("middle", Straw, "o 50,50,14", 0)]
        ),
        new(
            "bunting",
            "Bunting flag",
            "ornament party pennant",
            [
                Body("flag", Sky, "~ 12,16! 88,16! 50,98!", 90),
                Detail("band", Cream, "~ 4,6! 96,6! 96,17! 4,17!", 90),
                Detail("dot", Cream, "o 50,42,11", 0),
            ]
        ),
    ];
}
