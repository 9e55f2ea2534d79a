using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Outlines;

/// <summary>Draws a closed contour stretch by stretch.</summary>
internal sealed class PathPen
{
    private readonly ImmutableArray<Curve>.Builder _curves = ImmutableArray.CreateBuilder<Curve>();
    private readonly Point _start;
    private Point _at;

    internal PathPen(double x, double y)
    {
        _start = _at = new Point(x, y);
    }

    internal PathPen Line(double x, double y)
    {
        var end = new Point(x, y);
        if (end.DistanceTo(_at) > Tolerance.Same)
        {
            _curves.Add(Curve.Line(_at, end));
        }
        _at = end;
        return this;
    }

    internal PathPen Cubic(double x1, double y1, double x2, double y2, double x, double y)
    {
        var end = new Point(x, y);
        _curves.Add(Curve.Cubic(_at, new Point(x1, y1), new Point(x2, y2), end));
        _at = end;
        return this;
    }

    /// <summary>An arc round a centre, from the angle where the pen is; degrees, clockwise on screen when positive.</summary>
    /// <remarks>Pieces of at most 45° with the usual control length 4/3·tan(sweep/4): off by 4e-6 of the radius.</remarks>
    internal PathPen Arc(double centreX, double centreY, double sweep)
    {
        var centre = new Point(centreX, centreY);
        var pieces = Math.Max(1, (int)Math.Ceiling(Math.Abs(sweep) / 45));
        var step = sweep / pieces * Math.PI / 180;
        var control = 4.0 / 3 * Math.Tan(step / 4);
        for (var i = 0; i < pieces; i++)
        {
            var from = _at - centre;
            var (sin, cos) = Math.SinCos(step);
            var to = new Point((from.X * cos) - (from.Y * sin), (from.X * sin) + (from.Y * cos));
            var c1 = centre + from + (new Point(-from.Y, from.X) * control);
            var c2 = centre + to - (new Point(-to.Y, to.X) * control);
            Cubic(c1.X, c1.Y, c2.X, c2.Y, centre.X + to.X, centre.Y + to.Y);
        }
        return this;
    }

    internal Contour Close()
    {
        Line(_start.X, _start.Y);
        return new Contour(_curves.ToImmutable());
    }
}
