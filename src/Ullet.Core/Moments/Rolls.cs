using Ullet.Core.Geometry;
using Ullet.Core.Layers;

namespace Ullet.Core.Moments;

/// <summary>Cloth that is longer than the free field is rolled up inside the frame.</summary>
internal static class Rolls
{
    /// <summary>Less than this over the field needs no roll, mm.</summary>
    private const double Least = 3;

    /// <summary>A roll lies so far inside the frame, mm.</summary>
    private const double Within = 5;

    /// <summary>The rolls of a layer, one for each side on which it would reach over the frame.</summary>
    internal static IEnumerable<RolledPart> Of(PresentLayer layer, Box field)
    {
        var box = Box.Of(layer.Area);
        var (left, top, right, bottom) = box.Overlap(field);
        if (left >= right || top >= bottom)
        {
            yield break;
        }
        if (box.MinY < field.MinY - Least)
        {
            yield return new RolledPart(layer.Id, new(left, field.MinY + Within), new(right, field.MinY + Within));
        }
        if (box.MaxY > field.MaxY + Least)
        {
            yield return new RolledPart(layer.Id, new(left, field.MaxY - Within), new(right, field.MaxY - Within));
        }
        if (box.MinX < field.MinX - Least)
        {
            yield return new RolledPart(layer.Id, new(field.MinX + Within, top), new(field.MinX + Within, bottom));
        }
        if (box.MaxX > field.MaxX + Least)
        {
            yield return new RolledPart(layer.Id, new(field.MaxX - Within, top), new(field.MaxX - Within, bottom));
        }
    }
}
