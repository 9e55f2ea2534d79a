using System.Collections.Immutable;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Sketches;

/// <summary>Our own small drawings, from the world of an allotment.</summary>
public static class SketchShelf
{
    /// <summary>The middle of the square on which they are drawn, units.</summary>
    private const double Middle = 50;

    private static readonly SketchColour Leaf = new("leaf", "leaf green", "#6f8f3f");
    private static readonly SketchColour Pea = new("pea", "pea green", "#a9bf5f");
    private static readonly SketchColour Beetroot = new("beet", "beetroot", "#97304f");
    private static readonly SketchColour Straw = new("straw", "straw yellow", "#d9a93c");
    private static readonly SketchColour Carrot = new("carrot", "carrot orange", "#d9762b");
    private static readonly SketchColour Tomato = new("tomato", "tomato red", "#bf3b2b");
    private static readonly SketchColour Bark = new("bark", "bark brown", "#6b4a32");
    private static readonly SketchColour Earth = new("earth", "earth brown", "#9a7350");
    private static readonly SketchColour Soot = new("soot", "soot black", "#2d2a29");
    private static readonly SketchColour Cream = new("cream", "cream", "#f0e4c9");
    private static readonly SketchColour Steel = new("steel", "steel grey", "#8b979c");
    private static readonly SketchColour Clay = new("clay", "clay pot", "#b5653f");
    private static readonly SketchColour Sky = new("sky", "rain blue", "#5f86a6");
    private static readonly SketchColour Mist = new("mist", "mist grey", "#c3ced4");
    private static readonly SketchColour Rose = new("rose", "radish pink", "#cf4f74");

    /// <summary>All of them, as they stand on the shelf.</summary>
    public static readonly ImmutableArray<Sketch> All =
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
            "trowel",
            "Trowel",
            "tool garden dig",
            [
                Body("blade", Steel, "~ 50,98! 34,78 33,52! 67,52! 66,78", 90),
                Body("handle", Bark, "~ 44,36! 42,20 43,6 50,2 57,6 58,20 56,36!", 0),
                Detail("neck", Soot, "~ 46,54! 46,35! 54,35! 54,54!", 0),
            ]
        ),
        new(
            "watering-can",
            "Watering can",
            "tool garden water",
            [
                Body("spout", Steel, "~ 38,60! 16,26! 6,32! 38,84!", 60),
                Body("can", Sky, "~ 30,40! 80,40! 84,94! 26,94!", 0),
                Detail("rose", Soot, "~ 20,22! 2,33! 6,41! 25,30!", 150),
                Stroke("handles", Soot, "- 34,40 44,20 66,20 76,40|- 81,50 98,54 97,74 83,82"),
            ]
        ),
        new(
            "flowerpot",
            "Flowerpot",
            "tool garden plant seedling",
            [
                Body("seedling", Leaf, "~ 48,40! 30,34 16,12! 38,14 50,30! 62,14 84,12! 70,34 52,40!", 80),
                Body("pot", Clay, "~ 24,52! 76,52! 68,98! 32,98!", 0),
                Body("rim", Clay, "~ 16,38! 84,38! 84,54! 16,54!", 90),
            ]
        ),
        new(
            "sun",
            "Sun",
            "weather summer sky",
            [Body("disc", Straw, "o 50,50,25", 20), Detail("rays", Carrot, "8:50,50 ~ 43,18! 50,0! 57,18!", 90)]
        ),
        new(
            "rain-cloud",
            "Rain cloud",
            "weather rain sky",
            [
                Body("cloud", Mist, "~ 22,64 5,56 8,40 24,36 30,20 50,12 66,20 71,32 88,32 97,48 90,62 74,65 50,65", 0),
                Detail(
                    "drops",
                    Sky,
                    "~ 30,72! 37,86 30,94 23,86|~ 52,76! 59,90 52,98 45,90|~ 74,72! 81,86 74,94 67,86",
                    90
                ),
            ]
        ),
        new(
            "moon",
            "Moon",
            "weather night sky",
            [
                Shaped("moon", Straw, new CrescentShape(0.42), new ElementBox(-10, 0, 72, 100, 0), 70),
                Detail("star", Cream, "p 78,34,16,5,0.45", 0),
            ]
        ),
        new(
            "snow-branched",
            "Snow crystal, branched",
            "weather winter snowflake ice",
            [
                Body("heart", Mist, "p 50,50,22,6,1", 0),
                Stroke(
                    "arms",
                    Sky,
                    "6:50,50 - 50,28 50,2|6:50,50 - 50,20 42,12|6:50,50 - 50,20 58,12|6:50,50 - 50,10 45,5|6:50,50 - 50,10 55,5"
                ),
            ]
        ),
        new(
            "snow-starred",
            "Snow crystal, starred",
            "weather winter snowflake ice",
            [
                Body("star", Sky, "p 50,50,36,6,0.52", 30),
                Detail("dots", Mist, "6:50,50 o 50,5,4.5", 0),
                Detail("middle", Mist, "p 50,50,12,6,1", 0),
            ]
        ),
        new(
            "snow-plated",
            "Snow crystal, plated",
            "weather winter snowflake ice",
            [
                Body("plates", Mist, "6:50,50 ~ 50,2! 61,18! 50,34! 39,18!", 90),
                Body("middle", Sky, "p 50,50,16,6,1", 0),
                Stroke("ribs", Sky, "6:50,50 - 50,30 50,8"),
            ]
        ),
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

    /// <summary>A drawing by its name for ever; null where there is none.</summary>
    public static Sketch? Find(string id) => All.FirstOrDefault(sketch => sketch.Id == id);

    /// <summary>The part that an element is; null for anything else.</summary>
    public static SketchPart? PartOf(Element element) =>
        element.Sketch is { } use && Find(use.SketchId) is { } sketch && use.Part >= 0 && use.Part < sketch.Parts.Length
            ? sketch.Parts[use.Part]
            : null;

    private static SketchPart Body(string name, SketchColour colour, string lines, double turn) =>
        Drawn(name, SketchRole.Body, colour, lines, turn);

    private static SketchPart Detail(string name, SketchColour colour, string lines, double turn) =>
        Drawn(name, SketchRole.Detail, colour, lines, turn);

    private static SketchPart Stroke(string name, SketchColour colour, string lines) =>
        Drawn(name, SketchRole.Stroke, colour, lines, 0);

    private static SketchPart Shaped(
        string name,
        SketchColour colour,
        ShapeSource shape,
        ElementBox box,
        double turn
    ) => new(name, SketchRole.Body, colour, shape, box, turn);

    private static SketchPart Drawn(string name, SketchRole role, SketchColour colour, string lines, double turn)
    {
        var drawn = SketchLines.Read(lines);
        var box = drawn.Select(DrawnElements.BoundsOf).Aggregate((all, one) => all.Union(one));
        var at = new ElementBox(box.Centre.X - Middle, box.Centre.Y - Middle, box.Width, box.Height, 0);
        return new SketchPart(name, role, colour, new DrawnShape(drawn), at, turn);
    }
}
