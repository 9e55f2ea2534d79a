using System.Collections.Immutable;
using Ullet.Core.Projects;
using static Ullet.Core.Sketches.SketchColours;
using static Ullet.Core.Sketches.SketchParts;

namespace Ullet.Core.Sketches;

/// <summary>Tools of the allotment, and its weather.</summary>
internal static class ToolsAndWeather
{
    internal static readonly ImmutableArray<Sketch> All =
    [
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
    ];
}
