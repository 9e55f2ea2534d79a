using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>Brings a form to an element's box: leaned first, then stretched to the box exactly, flipped, turned, moved.</summary>
public static class BoxFit
{
    /// <summary>Forms flatter than this are not stretched in that direction: a straight line has no height, mm.</summary>
    private const double Flat = 1e-6;

    /// <summary>The form in the box.</summary>
    public static Outline InBox(this Outline form, ElementBox box) => form.Transform(Map(form, box));

    /// <summary>The map that <see cref="InBox"/> applies.</summary>
    public static Affine Map(Outline form, ElementBox box)
    {
        var middle = form.Bounds().Centre;
        var lean = Affine.Translate(-middle.X, -middle.Y).Then(Lean(box.Skew));
        var leaned = box.Skew == 0 ? Moved(form.Bounds(), middle) : form.Transform(lean).Bounds();
        return lean.Then(Affine.Translate(-leaned.Centre.X, -leaned.Centre.Y))
            .Then(Affine.Scale(Stretch(box.Width, leaned.Width), Stretch(box.Height, leaned.Height)))
            .Then(Affine.Scale(box.IsFlipped ? -1 : 1, 1))
            .Then(Affine.Rotate(box.Rotation))
            .Then(Affine.Translate(box.X, box.Y));
    }

    /// <summary>A place of the element's own frame (from its middle, before flip and turn) on the wall.</summary>
    public static Point OnWall(ElementBox box, Point own) =>
        Affine
            .Scale(box.IsFlipped ? -1 : 1, 1)
            .Then(Affine.Rotate(box.Rotation))
            .Then(Affine.Translate(box.X, box.Y))
            .Apply(own);

    private static Affine Lean(double degrees) => new(1, 0, -Math.Tan(degrees * Math.PI / 180), 1, 0, 0);

    private static Box Moved(Box box, Point middle) =>
        new(box.MinX - middle.X, box.MinY - middle.Y, box.MaxX - middle.X, box.MaxY - middle.Y);

    private static double Stretch(double wanted, double given) => given < Flat ? 1 : wanted / given;
}
