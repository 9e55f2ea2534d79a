using System.Collections.Immutable;

namespace Ullet.Core.Drawings;

/// <summary>What a unit of a drawing is taken for that does not say how large it is.</summary>
public static class LikelyUnit
{
    /// <summary>The larger side of most things that are laid in a hoop or on a mat, mm.</summary>
    private static readonly (double Least, double Most) Sensible = (8, 400);

    /// <summary>The larger side where no unit gives a sensible one, mm.</summary>
    private const double Otherwise = 60;

    /// <summary>Units of web pages and of programs that draw, mm: 96, 72 and 90 to the inch, then plain mm.</summary>
    public static readonly ImmutableArray<double> OfPages = [25.4 / 96, 25.4 / 72, 25.4 / 90, 1];

    /// <summary>Units of plans, mm: mm, inches, cm, thousandths of an inch, metres; then those of pages.</summary>
    public static readonly ImmutableArray<double> OfPlans = [1, 25.4, 10, 0.0254, 1000, 25.4 / 72, 25.4 / 96];

    /// <summary>The first of the likely units that gives a sensible size; else whatever makes it so, mm.</summary>
    public static double Of(Drawing drawing)
    {
        var box = drawing.Bounds();
        var side = Math.Max(box.Width, box.Height);
        var unit = drawing.LikelyUnits.FirstOrDefault(each =>
            side * each >= Sensible.Least && side * each <= Sensible.Most
        );
        return unit > 0 ? unit
            : side > 1e-9 ? Otherwise / side
            : Drawing.UsualMmPerUnit;
    }
}
