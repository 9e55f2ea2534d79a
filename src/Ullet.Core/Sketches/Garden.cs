using System.Collections.Immutable;
using Ullet.Core.Projects;
using static Ullet.Core.Sketches.SketchColours;
using static Ullet.Core.Sketches.SketchParts;

namespace Ullet.Core.Sketches;

/// <summary>Vegetables, fruit and what grows in the wood.</summary>
internal static class Garden
{
    internal static readonly ImmutableArray<Sketch> All =
    [
        new(
            "leaf",
            "Leaf",
            "plant green ornament",
            [
                Shaped("leaf", Leaf, new LeafShape(), new ElementBox(0, 0, 62, 100, 0), 55),
                Stroke("veins", Pea, "- 50,92 50,20|- 50,74 34,60|- 50,74 66,60|- 50,54 36,42|- 50,54 64,42"),
            ]
        ),
        new(
            "beet",
            "Beet",
            "vegetable root beetroot harvest",
            [
                Shaped("root", Beetroot, new DropShape(), new ElementBox(0, 10, 64, 80, 180), 20),
                Detail("leaves", Leaf, "~ 46,20! 30,14 22,-4! 40,0|~ 54,20! 60,0 78,-4! 70,14", 70),
                Stroke("light", Rose, "- 32,46 34,62 42,74"),
            ]
        ),
        new(
            "carrot",
            "Carrot",
            "vegetable root harvest",
            [
                Body("greens", Leaf, "~ 50,33 37,26 24,8 40,15 50,2 60,15 76,8 63,26", 75),
                Body("root", Carrot, "~ 34,32 50,26 66,32 67,46 60,68 50,98! 40,68 33,46", 12),
                Stroke("rings", Bark, "- 35,46 46,48|- 65,56 55,58|- 42,68 50,69"),
            ]
        ),
        new(
            "pea-pod",
            "Pea pod",
            "vegetable harvest peas",
            [
                Body("pod", Leaf, "~ 4,34! 24,50 50,54 76,50 96,34! 88,62 70,80 50,84 30,80 12,62", 0),
                Detail("peas", Pea, "o 29,63,8|o 50,67,9|o 71,63,8", 45),
                Stroke("stalk", Leaf, "- 96,34 99,24 94,16"),
            ]
        ),
        new(
            "tomato",
            "Tomato",
            "vegetable fruit harvest",
            [
                Body("fruit", Tomato, "~ 50,26 72,20 92,38 92,66 72,90 50,94 28,90 8,66 8,38 28,20", 25),
                Detail("crown", Leaf, "5:50,31 ~ 50,28! 58,17 50,3! 42,17", 80),
            ]
        ),
        new(
            "pumpkin",
            "Pumpkin",
            "vegetable harvest autumn squash",
            [
                Body("fruit", Carrot, "~ 50,30 64,25 86,34 97,58 86,82 64,90 50,87 36,90 14,82 3,58 14,34 36,25", 90),
                Detail("stalk", Leaf, "~ 44,32! 46,18 38,10! 50,6! 56,18 56,32!", 5),
                Stroke("ribs", Bark, "- 50,40 50,80|- 34,34 24,58 34,82|- 66,34 76,58 66,82"),
            ]
        ),
        new(
            "mushroom",
            "Mushroom",
            "toadstool wood autumn",
            [
                Body("stem", Cream, "~ 38,50! 40,74 33,91 41,97 59,97 67,91 60,74 62,50!", 0),
                Body("cap", Tomato, "~ 4,54! 12,28 34,8 50,6 66,8 88,28 96,54! 72,60 50,62 28,60", 20),
                Detail("dots", Cream, "o 34,30,7|o 58,22,6|o 74,42,6|o 50,46,5", 0),
            ]
        ),
        new(
            "apple",
            "Apple",
            "fruit harvest orchard",
            [
                Body("fruit", Tomato, "~ 50,28 66,22 88,32 94,56 82,82 62,97 50,92 38,97 18,82 6,56 12,32 34,22", 35),
                Detail("leaf", Leaf, "~ 52,18! 60,4 82,2! 72,17", 160),
                Stroke("stalk", Bark, "- 50,32 48,8"),
            ]
        ),
        new(
            "pear",
            "Pear",
            "fruit harvest orchard",
            [
                Body("fruit", Straw, "~ 50,16 62,22 66,38 78,56 82,76 70,94 50,98 30,94 18,76 22,56 34,38 38,22", 60),
                Detail("leaf", Leaf, "~ 54,12! 62,2 84,2! 74,14", 165),
                Stroke("stalk", Bark, "- 50,20 52,4"),
            ]
        ),
        new(
            "radish",
            "Radish",
            "vegetable root harvest salad",
            [
                Body("leaves", Leaf, "~ 50,42 30,31 20,6 40,10 50,27 60,10 80,6 70,31", 80),
                Body("root", Rose, "~ 50,36 68,38 80,54 74,74 58,84 50,100! 42,84 26,74 20,54 32,38", 15),
                Detail("tip", Cream, "~ 44,86! 50,84 56,86! 50,98!", 0),
            ]
        ),
        new(
            "acorn",
            "Acorn",
            "autumn wood seed ornament",
            [
                Body("nut", Straw, "~ 24,44! 76,44! 74,68 58,90 50,99! 42,90 26,68", 80),
                Body("cup", Bark, "~ 14,46 20,24 50,14 80,24 86,46 50,54", 30),
                Stroke("stalk", Bark, "- 50,18 54,2"),
            ]
        ),
    ];
}
