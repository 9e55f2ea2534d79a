using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>What hands do before the first and after the last stitch of a hooping.</summary>
internal static class HoopingSteps
{
    /// <summary>Cloth and stabiliser reach this far past the sewing field, mm: under the hoop's frame and a hand's width.</summary>
    private const double HoopMargin = 25;

    /// <summary>Hoop the ground, with the cloths that are hooped together with it.</summary>
    internal static HandWork HoopUp(Project project, Hooping hooping, List<SewnUnit> units)
    {
        var area = FieldArea(hooping.Hoop);
        var (ground, stabiliser) = (
            project.FindCloth(hooping.GroundClothId),
            project.FindCloth(hooping.StabiliserClothId)
        );
        var top = ground ?? stabiliser!;
        var laidFirst = units.Select(unit => unit.Work).OfType<PieceAtWork>().Where(IsLaidFirst).ToList();
        var together = laidFirst
            .Select(work => work.Cloth.Name)
            .Distinct(StringComparer.Ordinal)
            .Aggregate("", (text, name) => $"{text}, with {name} face up on top");
        var what =
            ground is not null && stabiliser is not null ? $"{ground.Name} over {stabiliser.Name}"
            : together.Length > 0 ? top.Name
            : $"{top.Name} alone";
        var alone =
            ground is not null && stabiliser is null
                ? "face up, with a light tear-away stabiliser if it is soft"
                : "flat and drum-tight";
        LayerLaid?[] hooped =
        [
            stabiliser is null ? null : new LayerLaid("stabiliser", "Stabiliser", stabiliser, FaceUp: true, area),
            ground is null
                ? null
                : new LayerLaid(HandWork.GroundLayer, "Ground", ground, FaceUp: true, area) { Role = LayerRole.Outer },
        ];
        return new HandWork(
            HandKind.HoopUp,
            "hoop-up",
            $"Hoop {what}{together} in the {hooping.Hoop.Name} mm hoop, {alone}; "
                + $"all of it must reach past the hoop all round. {Advice(units, top)}",
            null,
            HoopOff: true,
            [
                .. hooped.OfType<LayerLaid>(),
                .. laidFirst.Select(work => new LayerLaid(
                    work.Part.LayerId,
                    work.Part.Name,
                    work.Cloth,
                    FaceUp: true,
                    area
                )),
            ]
        );
    }

    internal static HandWork Finish(Project project)
    {
        var removed = project.FindCloth(project.Hooping.StabiliserClothId) is { } stabiliser
            ? $", and remove what {stabiliser.Name} allows"
            : "";
        return new HandWork(
            HandKind.Finish,
            "finish",
            $"Take the work out of the hoop, trim the thread ends{removed}.",
            null,
            HoopOff: true,
            []
        );
    }

    /// <summary>The needle for the ground, and a topping where a cloth asks for one.</summary>
    private static string Advice(List<SewnUnit> units, Cloth ground)
    {
        var preset = ClothPreset.Of(ground);
        var cloths = units.Select(unit => unit.Work?.Cloth).OfType<Cloth>().Append(ground);
        var topping = cloths.FirstOrDefault(cloth => ClothPreset.Of(cloth).Topping is not null);
        return $"Needle: {preset.Needle}."
            + (
                topping is null
                    ? ""
                    : $" Lay {ClothPreset.Of(topping).Topping} over {topping.Name} before its cover, so that it does not sink in."
            );
    }

    private static bool IsLaidFirst(PieceAtWork work) => work.Part.Element.Method == Method.LaidFirst;

    private static ImmutableArray<Region> FieldArea(Hoop hoop)
    {
        var field = Box.Centred(hoop.FieldWidth, hoop.FieldHeight).Grown(HoopMargin);
        return
        [
            new Region(
                Ring.Of([
                    new(field.MinX, field.MinY),
                    new(field.MaxX, field.MinY),
                    new(field.MaxX, field.MaxY),
                    new(field.MinX, field.MaxY),
                ]),
                []
            ),
        ];
    }
}
