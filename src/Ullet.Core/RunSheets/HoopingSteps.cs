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

    /// <summary>Hoop up; and lay the ground on the stabiliser where it is not hooped with it.</summary>
    internal static IEnumerable<HandWork> Begin(Project project, Hooping hooping, List<SewnUnit> units)
    {
        if (
            project.FindCloth(hooping.GroundClothId) is not { } ground
            || project.FindCloth(hooping.StabiliserClothId) is not { } stabiliser
            || hooping.GroundHold == GroundHold.Hooped
        )
        {
            yield return HoopUp(project, hooping, units);
            yield break;
        }
        var (field, hold) = (FieldArea(hooping.Hoop), GroundHoldTable.Of(hooping.GroundHold));
        yield return new HandWork(
            HandKind.HoopUp,
            "hoop-up",
            $"Hoop {stabiliser.Name} alone in the {hooping.Hoop.Name} mm hoop, flat and drum-tight{hold.Hooping}. It must reach past the hoop "
                + $"all round. {Advice(units, ground)}",
            null,
            HoopOff: true,
            [new LayerLaid(HandWork.StabiliserLayer, "Stabiliser", stabiliser, FaceUp: true, field)]
        );
        var laid = Box.Centred(hooping.Hoop.FieldWidth, hooping.Hoop.FieldHeight);
        var together = LaidFirst(units).ToList();
        yield return new HandWork(
            HandKind.Lay,
            "lay-ground",
            (hold.Id == GroundHold.Sprayed ? HoldingTable.Spraying(ground.Name) : "")
                + $"Lay {ground.Name} face up on {stabiliser.Name}, the hoop still off the machine; it must be at least "
                + $"{LengthText.AtLeast(laid.Width, laid.Height)}{Together(together)}. {hold.Laying}",
            null,
            HoopOff: true,
            [
                new LayerLaid(HandWork.GroundLayer, "Ground", ground, FaceUp: true, laid.Area())
                {
                    Role = LayerRole.Outer,
                },
                .. LaidOver(together, laid.Area()),
            ]
        )
        {
            Check = "It lies without a crease and covers everything that will be sewn.",
        };
    }

    private static IEnumerable<PieceAtWork> LaidFirst(List<SewnUnit> units) =>
        units.Select(unit => unit.Work).OfType<PieceAtWork>().Where(IsLaidFirst);

    /// <summary>The cloths that are laid on the ground at once, to go on in a sentence.</summary>
    private static string Together(IEnumerable<PieceAtWork> laidFirst) =>
        laidFirst
            .Select(work => work.Cloth.Name)
            .Distinct(StringComparer.Ordinal)
            .Aggregate("", (text, name) => $"{text}, with {name} face up on top");

    private static IEnumerable<LayerLaid> LaidOver(IEnumerable<PieceAtWork> laidFirst, ImmutableArray<Region> area) =>
        laidFirst.Select(work => new LayerLaid(work.Part.LayerId, work.Part.Name, work.Cloth, FaceUp: true, area));

    /// <summary>Hoop the ground, with the cloths that are hooped together with it.</summary>
    internal static HandWork HoopUp(Project project, Hooping hooping, List<SewnUnit> units)
    {
        var area = FieldArea(hooping.Hoop);
        var (ground, stabiliser) = (
            project.FindCloth(hooping.GroundClothId),
            project.FindCloth(hooping.StabiliserClothId)
        );
        var top = ground ?? stabiliser!;
        var laidFirst = LaidFirst(units).ToList();
        var together = Together(laidFirst);
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
            stabiliser is null
                ? null
                : new LayerLaid(HandWork.StabiliserLayer, "Stabiliser", stabiliser, FaceUp: true, area),
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
            [.. hooped.OfType<LayerLaid>(), .. LaidOver(laidFirst, area)]
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

    private static ImmutableArray<Region> FieldArea(Hoop hoop) =>
        Box.Centred(hoop.FieldWidth, hoop.FieldHeight).Grown(HoopMargin).Area();
}
