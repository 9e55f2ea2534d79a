using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Patterns;

/// <summary>Where the parts of a zip pouch lie, mm from the field's centre.</summary>
/// <param name="Form">The closing seams.</param>
/// <param name="Zip">The middle of the teeth, mm down.</param>
/// <param name="Variant">How it is lined and closed.</param>
internal sealed record PouchSizes(SeamForm Form, double Zip, PouchVariant Variant)
{
    /// <summary>The sides may come in by this over the height of the tape, mm: the zip's ends are sewn in straight.</summary>
    private const double Slant = 12;

    /// <summary>The loop's middle lies this far below the panel's fold, mm.</summary>
    private const double LoopDown = 20;

    /// <summary>Least that is left of the width at the zip, mm.</summary>
    private const double LeastAtZip = 60;

    /// <summary>The gap in the lining's seam; null for none.</summary>
    internal SeamGap? Gap { get; init; }

    /// <summary>Null for none.</summary>
    internal PouchLoop? Loop { get; init; }

    /// <summary>Everything at what was asked, or why it can't be.</summary>
    internal static Result<PouchSizes> Of(PatternNumbers asked)
    {
        var variant = PouchVariant.All.First(row => row.Id == asked.Choice(PouchVariant.ChoiceId));
        var (height, drop) = (asked["height"], asked["drop"]);
        if (height - drop < 50)
        {
            return new Refusal(
                "zip-too-low",
                "drop",
                $"The zip lies {drop:0.#} mm below the top edge of a pouch {height:0.#} mm high: at least 50 mm "
                    + $"must be left below it, so it may lie up to {height - 50:0.#} mm down."
            );
        }
        var radius = variant.HasGap ? ZipPouch.Corner : ZipPouch.RawCorner;
        return SeamForms
            .Of(asked, asked["width"], height, radius)
            .Then(form => Of(new PouchSizes(form, form.Bounds.MinY + drop, variant), asked));
    }

    private static Result<PouchSizes> Of(PouchSizes pouch, PatternNumbers asked)
    {
        var (band, form) = (pouch.Band, pouch.Form);
        var isAskew = Math.Max(band.Outer - band.Inner, 0) > 2 * Slant;
        for (var y = pouch.Zip - (ZipPouch.Tape / 2); y <= pouch.Zip + (ZipPouch.Tape / 2) && !isAskew; y++)
        {
            isAskew = form.CrossingsAt(y) != 2;
        }
        if (isAskew || band.Inner < LeastAtZip)
        {
            return new Refusal(
                "zip-askew",
                SeamForms.ChoiceId,
                $"With this outline the sides are not upright enough where the zip is sewn in, or less than {LeastAtZip:0} mm apart: over the "
                    + $"{ZipPouch.Tape:0} mm of its tape they may come in by {Slant:0} mm each. Move the zip, or choose another outline."
            );
        }
        var loop = asked.Choice(PouchLoop.ChoiceId);
        var at = pouch.Below + LoopDown;
        if (loop != PouchLoop.None && form.At(at) is var (left, right))
        {
            var isLeft = loop == PouchLoop.Left;
            pouch = pouch with { Loop = new PouchLoop(isLeft, new Point(isLeft ? left : right, at)) };
        }
        return pouch with
        {
            Gap =
                pouch.Variant.HasGap && asked[ZipPouch.GapId] > 0
                    ? form.Gap(asked[ZipPouch.GapId], pouch.Below + (pouch.Loop is null ? LoopDown : 2 * LoopDown))
                    : null,
        };
    }

    /// <summary>How wide the form is over the height of the tape: greatest, least, outermost left and right.</summary>
    internal (double Outer, double Inner, double Left, double Right) Band { get; } =
        Form.Over(Zip - (ZipPouch.Tape / 2), Zip + (ZipPouch.Tape / 2));

    /// <summary>What is laid for the pouch.</summary>
    internal Box Cut => Form.Bounds.Grown(ZipPouch.Beyond);

    /// <summary>The fold of the lower panel.</summary>
    internal double Below => Zip + ZipPouch.FromTeeth;

    /// <summary>The fold of the upper panel.</summary>
    internal double Above => Zip - ZipPouch.FromTeeth;

    /// <summary>The lower panel once it is folded.</summary>
    internal Box Lower => new(Cut.MinX, Below, Cut.MaxX, Cut.MaxY);

    /// <summary>The upper panel once it is folded.</summary>
    internal Box Upper => new(Cut.MinX, Cut.MinY, Cut.MaxX, Above);

    /// <summary>The lining behind the lower panel, its pressed edge near the zip.</summary>
    internal Box LowerLining => Lower with { MinY = Below + ZipPouch.LiningBack };

    /// <summary>The lining behind the upper panel.</summary>
    internal Box UpperLining => Upper with { MaxY = Above - ZipPouch.LiningBack };

    /// <summary>The zip's tape.</summary>
    internal Box Tape =>
        new(
            Band.Left - ZipPouch.StopEnd,
            Zip - (ZipPouch.Tape / 2),
            Band.Right + ZipPouch.SliderEnd,
            Zip + (ZipPouch.Tape / 2)
        );

    /// <summary>The slot in the stabiliser behind the teeth.</summary>
    internal Box Slot =>
        Box.Centred(Band.Inner - (2 * ZipPouch.Slot), ZipPouch.Slot).Moved((Band.Left + Band.Right) / 2, Zip);

    /// <summary>The middle of the slider once the zip is open.</summary>
    internal double SliderOpen => Band.Right - (ZipPouch.Opened * (Band.Right - Band.Left));
}
