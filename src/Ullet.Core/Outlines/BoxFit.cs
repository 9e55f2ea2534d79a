using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>Brings a form to an element's box: leaned first, then stretched to the box exactly, flipped, turned, moved.</summary>
public static class BoxFit
{
    /// <summary>Forms flatter than this are not stretched in that direction: a straight line has no height, mm.</summary>
    private const double Flat = 1e-6;

    private const int MostHalvings = 48;

    /// <summary>The form in the box.</summary>
    public static Outline InBox(this Outline form, ElementBox box) => form.Transform(Map(form, box));

    /// <summary>The map that <see cref="InBox"/> applies.</summary>
    public static Affine Map(Outline form, ElementBox box)
    {
        var bounds = form.Bounds();
        var fit = Affine
            .Translate(-bounds.Centre.X, -bounds.Centre.Y)
            .Then(Affine.Scale(Stretch(box.Width, bounds.Width), Stretch(box.Height, bounds.Height)));
        if (box.Skew != 0)
        {
            fit = Leaned(form, fit, box);
        }
        return fit.Then(Frame(box));
    }

    /// <summary>Leans a form to the right about the middle of its height, degrees.</summary>
    public static Affine Lean(double degrees) => new(1, 0, -Math.Tan(degrees * Math.PI / 180), 1, 0, 0);

    /// <summary>The upright form made so much narrower that it takes the box's width once it leans.</summary>
    /// <remarks>The leaned width grows with the upright one, so the fitting width is bracketed and halved. A box too narrow
    /// for the lean is met by squeezing.</remarks>
    private static Affine Leaned(Outline form, Affine fit, ElementBox box)
    {
        var lean = Lean(box.Skew);
        Affine Try(double by) => fit.Then(Affine.Scale(by, 1)).Then(lean);
        var (low, high) = (1e-6, 1.0);
        for (var i = 0; i < MostHalvings && high - low > 1e-13; i++)
        {
            var middle = (low + high) / 2;
            (low, high) = form.Transform(Try(middle)).Bounds().Width < box.Width ? (middle, high) : (low, middle);
        }
        var map = Try((low + high) / 2);
        var leaned = form.Transform(map).Bounds();
        return map.Then(Affine.Translate(-leaned.Centre.X, -leaned.Centre.Y))
            .Then(Affine.Scale(Stretch(box.Width, leaned.Width), 1));
    }

    /// <summary>A place of the element's own frame (from its middle, before flip and turn) on the wall.</summary>
    public static Point OnWall(ElementBox box, Point own) => Frame(box).Apply(own);

    /// <summary>From an element's own frame (from its middle, before flip and turn) to the wall.</summary>
    public static Affine Frame(ElementBox box) =>
        Affine.Scale(box.IsFlipped ? -1 : 1, 1).Then(Affine.Rotate(box.Rotation)).Then(Affine.Translate(box.X, box.Y));

    /// <summary>A spot of the element's own frame on the wall.</summary>
    public static Point OnWall(ElementBox box, Spot spot) =>
        OnWall(box, new Point(spot.X * box.Width, spot.Y * box.Height));

    /// <summary>The spot of the element's own frame that lies at a place on the wall.</summary>
    public static Spot SpotOf(ElementBox box, Point place)
    {
        var own = Affine
            .Scale(box.IsFlipped ? -1 : 1, 1)
            .Then(Affine.Rotate(box.Rotation))
            .Then(Affine.Translate(box.X, box.Y))
            .Inverse()
            .Apply(place);
        return new Spot(own.X / Math.Max(box.Width, Flat), own.Y / Math.Max(box.Height, Flat));
    }

    private static double Stretch(double wanted, double given) => given < Flat ? 1 : wanted / given;
}
