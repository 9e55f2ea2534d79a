using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Patterns;

/// <summary>What is kept clear about a pouch's zip.</summary>
internal static class PouchZones
{
    internal static IEnumerable<Element> Of(PouchSizes pouch)
    {
        var (band, lay, open) = (pouch.Band, ZipPouchHands.LayZip.Step, ZipPouchHands.OpenZip.Step);
        yield return Zone(
            "teeth",
            "Zip teeth",
            new Box(band.Left - 5, pouch.Zip - (ZipPouch.Teeth / 2), band.Right + 5, pouch.Zip + (ZipPouch.Teeth / 2)),
            new ZoneMaking
            {
                From = lay,
                Allows =
                [
                    ZipPouchParts.ZipStop.ElementId,
                    ZipPouchParts.ZipEnds.ElementId,
                    ZipPouchParts.ClosingSeam.ElementId,
                    ZipPouchParts.LiningSeam.ElementId,
                    ZipPouchParts.Zigzag.ElementId,
                ],
            }
        );
        var slider = ZipPouch.Slider;
        yield return Zone(
            "slider-shut",
            "Zip slider, shut",
            slider.Moved(band.Right + ZipPouch.SliderShut, pouch.Zip),
            new ZoneMaking { From = lay, Until = open }
        );
        yield return Zone(
            "slider-open",
            "Zip slider, open",
            slider.Moved(pouch.SliderOpen, pouch.Zip),
            new ZoneMaking { From = open }
        );
    }

    /// <summary>A zone of the zip.</summary>
    internal static Element Zone(string part, string name, Box box, ZoneMaking zone) =>
        new()
        {
            Id = $"p-{part}",
            PatternPart = part,
            Name = name,
            IsLocked = true,
            Box = new ElementBox(box.Centre.X, box.Centre.Y, box.Width, box.Height, 0),
            Form = new ShapeForm(new RectangleShape()),
            Making = zone,
        };
}
