using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>Brings a stitch file's own places to where its element stands.</summary>
public static class OpenedFrame
{
    private const double Flat = 1e-6;

    /// <summary>The map from the file's mm to the wall.</summary>
    public static Affine Map(OpenedForm form, ElementBox box)
    {
        var bounds = form.Bounds;
        if (bounds.IsEmpty)
        {
            return BoxFit.Frame(box);
        }
        var (across, down) = Scale(form, box);
        var fit = Affine.Translate(-bounds.Centre.X, -bounds.Centre.Y).Then(Affine.Scale(across, down));
        return (box.Skew == 0 ? fit : fit.Then(BoxFit.Lean(box.Skew))).Then(BoxFit.Frame(box));
    }

    /// <summary>How much larger the stitches stand than in their file, across and down.</summary>
    public static (double Across, double Down) Scale(OpenedForm form, ElementBox box)
    {
        var bounds = form.Bounds;
        return (Stretch(box.Width, bounds.Width), Stretch(box.Height, bounds.Height));
    }

    /// <summary>The box of stitches that stand as in their file, moved, mm.</summary>
    public static ElementBox Box(OpenedForm form, double x = 0, double y = 0)
    {
        var bounds = form.Bounds;
        return new ElementBox(bounds.Centre.X + x, bounds.Centre.Y + y, bounds.Width, bounds.Height, 0);
    }

    private static double Stretch(double wanted, double given) => given < Flat ? 1 : wanted / given;
}
