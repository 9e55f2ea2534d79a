using System.Globalization;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Cutting;

/// <summary>A size in every way in which a cutting program may show it.</summary>
/// <param name="Width">True width, mm.</param>
/// <param name="Height">True height, mm.</param>
/// <remarks>A cut file's user units are 1/96 in. A program that takes them for something else shows another size; typing the
/// true width there puts it right.</remarks>
public readonly record struct SizeReading(double Width, double Height)
{
    /// <summary>User units of a cut file to the inch.</summary>
    public const double UnitsPerInch = 96;

    /// <summary>What programs take for an inch, units.</summary>
    public static readonly double[] PerInch = [72, 90, 96];

    public static SizeReading Of(Box box) => new(box.Width, box.Height);

    /// <summary>The width that a program shows which takes so many units for an inch, mm.</summary>
    public double ShownAt(double unitsPerInch) => Width * UnitsPerInch / unitsPerInch;

    /// <summary>The width that a program shows which takes units for tenths of a millimetre, mm.</summary>
    public double ShownInTenths => Width / LengthText.MmPerInch * UnitsPerInch / 10;

    /// <summary>The width to type, mm: rounded up to a tenth.</summary>
    public double TypedMm => Up(Width, 10);

    /// <summary>The width to type, inches: rounded up to a hundredth.</summary>
    public double TypedInches => Up(Width / LengthText.MmPerInch, 100);

    /// <summary>"64.5 mm or 2.54 in".</summary>
    public string Typed => string.Create(CultureInfo.InvariantCulture, $"{TypedMm:0.0} mm or {TypedInches:0.00} in");

    private static double Up(double value, double parts) => Math.Ceiling((value * parts) - 1e-6) / parts;
}
