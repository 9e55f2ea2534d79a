using System.Text;
using Ullet.Core.Applique;
using Ullet.Core.Projects;

namespace Ullet.Core.Evaluation;

/// <summary>The drawing in words, for those who do not see it.</summary>
public static class DrawingSummary
{
    /// <summary>A few sentences: the field, then each piece from the bottom of the stack with its place and size.</summary>
    public static string Of(Evaluated evaluated)
    {
        var project = evaluated.Project;
        var hoop = project.Hooping.Hoop;
        var text = new StringBuilder($"Sewing field {hoop.FieldWidth:0.#} by {hoop.FieldHeight:0.#} mm. ");
        var pieces = project.Elements.OfType<Piece>().ToList();
        text.Append(
            pieces.Count switch
            {
                0 => "Nothing stands on the wall yet.",
                1 => "One piece.",
                _ => $"{pieces.Count} pieces, from the bottom of the stack.",
            }
        );
        foreach (var piece in pieces)
        {
            var box = evaluated.Outlines[piece.Id].Bounds();
            text.Append(
                $" {piece.Name}: {project.FindCloth(piece.ClothId)!.Name}, {box.Width:0.#} by {box.Height:0.#} mm, "
                    + $"{Place(box.Centre.X, box.Centre.Y)}, {AppliqueMethods.Of(piece.Method).Name.ToLowerInvariant()}."
            );
        }
        return text.ToString();
    }

    private static string Place(double x, double y)
    {
        var across = Math.Abs(x) < 0.5 ? "" : $"{Math.Abs(x):0.#} mm {(x > 0 ? "right" : "left")}";
        var down = Math.Abs(y) < 0.5 ? "" : $"{Math.Abs(y):0.#} mm {(y > 0 ? "below" : "above")}";
        return (across, down) switch
        {
            ("", "") => "in the middle",
            (_, "") => $"{across} of the middle",
            ("", _) => $"{down} the middle",
            _ => $"{across} of and {down} the middle",
        };
    }
}
