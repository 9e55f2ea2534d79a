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
    internal static HandWork HoopUp(Project project, List<SewnUnit> units)
    {
        var ground = project.FindCloth(project.Hooping.GroundClothId)!;
        var stabiliser = project.FindCloth(project.Hooping.StabiliserClothId)!;
        var laidFirst = units.Select(unit => unit.Work).OfType<PieceAtWork>().Where(IsLaidFirst).ToList();
        var together = laidFirst
            .Select(work => work.Cloth.Name)
            .Distinct(StringComparer.Ordinal)
            .Aggregate("", (text, name) => $"{text}, with {name} face up on top");
        var area = FieldArea(project);
        return new HandWork(
            HandKind.HoopUp,
            "hoop-up",
            $"Hoop {ground.Name} over {stabiliser.Name}{together} in the {project.Hooping.Hoop.Name} mm hoop, flat and drum-tight; "
                + $"all of it must reach past the hoop all round. {Advice(units, ground)}",
            null,
            HoopOff: true,
            [
                new LayerLaid("stabiliser", "Stabiliser", stabiliser, FaceUp: true, area),
                new LayerLaid(HandWork.GroundLayer, "Ground", ground, FaceUp: true, area),
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

    /// <summary>Hoop a cloth alone, to mark pieces on it.</summary>
    internal static HandWork HoopUpAlone(Project project, Cloth cloth) =>
        new(
            HandKind.HoopUp,
            "hoop-up",
            $"Hoop {cloth.Name} alone in the {project.Hooping.Hoop.Name} mm hoop, face up, with a light tear-away stabiliser if it "
                + $"is soft. Needle: {ClothPreset.Of(cloth).Needle}.",
            null,
            HoopOff: true,
            [new LayerLaid(HandWork.GroundLayer, cloth.Name, cloth, FaceUp: true, FieldArea(project))]
        );

    internal static HandWork Finish(Project project)
    {
        var stabiliser = project.FindCloth(project.Hooping.StabiliserClothId)!;
        return new HandWork(
            HandKind.Finish,
            "finish",
            $"Take the work out of the hoop, trim the thread ends, and remove what {stabiliser.Name} allows.",
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

    private static ImmutableArray<Region> FieldArea(Project project)
    {
        var hoop = project.Hooping.Hoop;
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
