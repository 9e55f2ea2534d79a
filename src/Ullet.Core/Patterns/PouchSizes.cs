using Ullet.Core.Geometry;

namespace Ullet.Core.Patterns;

/// <summary>Where the parts of a zip pouch lie, mm from the field's centre.</summary>
/// <param name="Width">Width as sewn, mm.</param>
/// <param name="Height">Height as sewn, mm.</param>
/// <param name="Drop">The zip below the top edge, mm.</param>
/// <param name="Gap">The gap in the lining's seam, mm; 0 for none.</param>
internal sealed record PouchSizes(double Width, double Height, double Drop, double Gap)
{
    /// <summary>The closing seams.</summary>
    internal Box Seam => Box.Centred(Width, Height);

    /// <summary>What is laid for the pouch.</summary>
    internal Box Cut => Seam.Grown(ZipPouch.Beyond);

    /// <summary>The middle of the teeth, mm down.</summary>
    internal double Zip => Seam.MinY + Drop;

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
            Seam.MinX - ZipPouch.StopEnd,
            Zip - (ZipPouch.Tape / 2),
            Seam.MaxX + ZipPouch.SliderEnd,
            Zip + (ZipPouch.Tape / 2)
        );

    /// <summary>The slot in the stabiliser behind the teeth.</summary>
    internal Box Slot =>
        new(Seam.MinX + ZipPouch.Slot, Zip - (ZipPouch.Slot / 2), Seam.MaxX - ZipPouch.Slot, Zip + (ZipPouch.Slot / 2));

    /// <summary>The middle of the slider once the zip is open.</summary>
    internal double SliderOpen => Seam.MaxX - (ZipPouch.Opened * Width);
}
