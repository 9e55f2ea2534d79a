using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>A drawn line as its curves.</summary>
internal static class DrawnContour
{
    internal static Contour Make(DrawnShape drawn)
    {
        var pen = new PathPen(drawn.StartX, drawn.StartY);
        foreach (var curve in drawn.Curves)
        {
            pen.Cubic(curve.X1, curve.Y1, curve.X2, curve.Y2, curve.X, curve.Y);
        }
        return pen.Close();
    }
}
