using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Cutting;

/// <summary>What a person reads off a coupon with a ruler, mm; null for what was not read.</summary>
public sealed record CouponReading
{
    /// <summary>Width of the large ring as the cutter cut it; it was asked for <see cref="Coupon.Ring"/>.</summary>
    public double? RingWidth { get; init; }

    /// <summary>The widest gap between a laid piece's edge and its placement line.</summary>
    public double? WidestGap { get; init; }

    /// <summary>Where the trimmed edge lies nearest to its tack-down, measured outwards.</summary>
    public double? TrimLeast { get; init; }

    /// <summary>Where the trimmed edge lies farthest from its tack-down.</summary>
    public double? TrimMost { get; init; }

    /// <summary>Length between the outer ends of the long bar after its cover was sewn; it was cut <see cref="Coupon.Bar"/> long.</summary>
    public double? BarLength { get; init; }

    /// <summary>Says what of it can't have been read, or null.</summary>
    public Refusal? Check() =>
        Near(RingWidth, Coupon.Ring, "The ring", "ringWidth")
        ?? Near(BarLength, Coupon.Bar, "The bar", "barLength")
        ?? (WidestGap is { } gap ? Limits.CheckRange(gap, 0, 5, "mm", "The widest gap", "widestGap") : null)
        ?? CutLimits.Check(new EdgeTolerances { TrimLeast = TrimLeast, TrimMost = TrimMost });

    /// <summary>The tolerances that follow from it.</summary>
    public EdgeTolerances Tolerances(EdgeTolerances before)
    {
        // Half of a wrong width lies on either side.
        double? cutting = RingWidth is { } ring ? Rounded(Math.Abs(ring - Coupon.Ring) / 2) : null;
        double? laying = WidestGap is { } gap ? Rounded(Math.Max(0, gap - (cutting ?? before.Cutting ?? 0))) : null;
        double? drawIn = BarLength is { } bar ? Math.Round(Math.Max(0, Coupon.Bar - bar) / Coupon.Bar, 4) : null;
        return new EdgeTolerances
        {
            Cutting = cutting ?? before.Cutting,
            Laying = laying ?? before.Laying,
            TrimLeast = TrimLeast ?? before.TrimLeast,
            TrimMost = TrimMost ?? before.TrimMost,
            DrawIn = drawIn ?? before.DrawIn,
        };
    }

    private static double Rounded(double mm) => Math.Round(mm, 2);

    private static Refusal? Near(double? read, double asked, string what, string place) =>
        read is { } mm
            ? Limits.CheckRange(mm, asked * 0.9, asked * 1.1, "mm", $"{what}, asked for {asked:0.#} mm, as read", place)
            : null;
}
