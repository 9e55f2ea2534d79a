using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>Where holes lie that are given apart from an outline.</summary>
internal static class PlacedHoles
{
    /// <summary>A hole's edge in its element's own frame, mm.</summary>
    internal static Contour Own(PieceHole hole) =>
        ShapeContours.Make(hole.Shape, hole.Width, hole.Height).Transform(Affine.Translate(hole.X, hole.Y));

    /// <summary>A hole's edge on the wall, mm: it leans, flips and turns with the drawing that it is in.</summary>
    internal static Contour OnWall(DrawnShape drawing, PieceHole hole, ElementBox box) =>
        Own(hole).Transform(BoxFit.Map(ShapeContours.Outline(drawing, box.Width, box.Height), box));
}
