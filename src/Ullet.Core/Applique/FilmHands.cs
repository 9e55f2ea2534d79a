using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.Applique;

/// <summary>What hands do with a film that shines between rows.</summary>
internal static class FilmHands
{
    /// <summary>Film reaches so far over the area that is filled, mm.</summary>
    private const double Margin = 12;

    /// <summary>Lay it over where the rows will lie.</summary>
    internal static HandWork Lay(Element element, Cloth film, Outline outline)
    {
        var area = outline.Bounds().Grown(Margin);
        return new HandWork(
            HandKind.Lay,
            "lay-film",
            $"Lay {film.Name} over where {element.Name} will be filled, its shiny side up; it must be at least "
                + $"{LengthText.AtLeast(area.Width, area.Height)}. Tape its corners away from the needle.",
            null,
            HoopOff: false,
            [new LayerLaid(LayerOf(element), film.Name, film, FaceUp: true, area.Area())]
        )
        {
            Tape = [new Taped(LayerOf(element), TapePlace.Corners)],
            Check = "Is it flat, without a crease under the needle?",
        };
    }

    /// <summary>Tear away what lies beyond the rows; what is sewn over stays.</summary>
    internal static HandWork Tear(Element element, Cloth film, Outline outline) =>
        new(
            HandKind.Remove,
            "tear-film",
            $"Take the tape off and tear {film.Name} away along the edge of {element.Name}: hold the stitches down with a "
                + "finger and pull outwards, a little at a time. Under the rows it stays.",
            "Do not pull upwards: the rows would be drawn with it.",
            HoopOff: false,
            [new LayerTrimmed(LayerOf(element), outline.Flatten())]
        );

    private static string LayerOf(Element element) => $"film-{element.Id}";
}
