using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The frame in which rows run to the right, one below the other.</summary>
internal sealed class RowFrame
{
    private readonly double _angle;
    private readonly Affine _in;
    private readonly Affine _out;
    private readonly RowGuide? _guide;

    private RowFrame(double angle, RowGuide? guide) =>
        (_angle, _in, _out, _guide) = (angle, Affine.Rotate(-angle), Affine.Rotate(angle), guide);

    /// <summary>True when rows are straight lines.</summary>
    internal bool IsStraight => _guide is null;

    /// <summary>Straight rows at an angle, degrees.</summary>
    internal static RowFrame At(double angle) => new(angle, null);

    /// <summary>Rows that follow a guide, which runs at an angle on the whole, degrees.</summary>
    internal static RowFrame Along(RowGuide guide) => new(guide.Angle, guide);

    /// <summary>Straight rows at a right angle to these as a whole.</summary>
    internal RowFrame Across() => At(_angle + 90);

    internal Point In(Point place)
    {
        var turned = _in.Apply(place);
        return _guide is null ? turned : _guide.In(turned);
    }

    internal Point Out(Point place) => _out.Apply(_guide is null ? place : _guide.Out(place));
}
