using System.Collections.Immutable;
using static Ullet.Core.Sketches.SketchColours;
using static Ullet.Core.Sketches.SketchParts;

namespace Ullet.Core.Sketches;

/// <summary>Small animals.</summary>
internal static class Animals
{
    internal static readonly ImmutableArray<Sketch> All =
    [
        new(
            "robin",
            "Robin",
            "bird animal winter garden",
            [
                Body(
                    "body",
                    Earth,
                    "~ 14,40 18,24 30,12 44,10 56,18 66,32 82,42 99,38! 94,52 82,66 66,80 46,84 28,76 17,60",
                    160
                ),
                Body("breast", Tomato, "~ 16,40 28,34 40,42 46,56 42,72 32,76 21,66 16,53", 60),
                Detail("wing", Bark, "~ 50,42! 66,46 80,56! 72,66 58,66 50,56", 20),
                Detail("beak", Straw, "~ 17,27! 3,33! 16,36!", 90),
                Detail("eye", Soot, "o 29,24,3.4", 0),
                Stroke("legs", Bark, "- 44,83 43,97 35,99|- 56,82 56,96 48,99"),
            ]
        ),
        new(
            "bee",
            "Bee",
            "insect animal summer honey",
            [
                Body("wings", Mist, "o 46,22,10,19,-28|o 70,23,9,17,22", 90),
                Body("body", Straw, "o 54,60,40,26", 0),
                Detail("bands", Soot, "~ 43,35! 54,34! 54,86! 43,85!|~ 66,36! 76,40! 76,80! 66,84!", 0),
                Detail("eye", Soot, "o 26,54,3.6", 0),
                Stroke("feelers", Soot, "- 22,44 12,32|- 28,40 22,26"),
            ]
        ),
        new(
            "ladybird",
            "Ladybird",
            "insect animal beetle summer",
            [
                Body("head", Soot, "~ 26,34 34,14 50,6 66,14 74,34 50,40", 0),
                Body("wings", Tomato, "o 50,60,42,38", 30),
                Detail("dots", Soot, "o 30,48,6.5|o 70,48,6.5|o 32,74,6.5|o 68,74,6.5", 0),
                Stroke("seam", Soot, "- 50,26 50,94"),
            ]
        ),
        new(
            "snail",
            "Snail",
            "animal garden shell slow",
            [
                Body("foot", Straw, "~ 2,90! 6,76 14,66 14,44 20,38 28,44 34,72 58,82 84,80 99,92!", 0),
                Body("shell", Clay, "o 60,50,33,32", 130),
                Stroke("spiral", Bark, "- 86,60 70,74 44,66 38,44 54,28 74,36 76,54 62,62 54,52 60,46"),
                Stroke("feelers", Bark, "- 17,40 10,24|- 24,40 27,24"),
            ]
        ),
        new(
            "hedgehog",
            "Hedgehog",
            "animal garden autumn night",
            [
                Body("face", Cream, "~ 2,74 14,64 24,50 40,50 46,68 40,84 20,85 8,82", 0),
                Body("spines", Bark, "~ 30,82! 40,66 30,46! 38,30 58,20 80,28 95,46 99,66 94,84! 60,88", 140),
                Detail("nose", Soot, "o 5,74,4", 0),
                Detail("eye", Soot, "o 21,66,3.2", 0),
                Stroke(
                    "prickles",
                    Straw,
                    "- 50,40 57,32|- 66,40 74,33|- 58,56 66,48|- 76,56 84,48|- 50,72 58,64|- 68,72 76,64"
                ),
            ]
        ),
        new(
            "butterfly",
            "Butterfly",
            "insect animal summer",
            [
                Body("lower wings", Straw, "~ 45,54! 22,56 10,76 26,92 42,78|~ 55,54! 78,56 90,76 74,92 58,78", 60),
                Body("upper wings", Sky, "~ 46,50! 36,16 10,6 2,28 16,50|~ 54,50! 64,16 90,6 98,28 84,50", 120),
                Detail("trunk", Soot, "~ 50,32 54,42 53,70 50,82 47,70 46,42", 0),
                Stroke("feelers", Soot, "- 49,36 42,22 34,16|- 51,36 58,22 66,16"),
            ]
        ),
    ];
}
