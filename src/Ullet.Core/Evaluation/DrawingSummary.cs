using System.Text;
using Ullet.Core.Applique;
using Ullet.Core.Projects;

namespace Ullet.Core.Evaluation;

/// <summary>The drawing in words, for those who do not see it.</summary>
public static class DrawingSummary
{
    /// <summary>A few sentences: the field, then each element from the bottom of the stack with its place and size.</summary>
    public static string Of(Evaluated evaluated)
    {
        var project = evaluated.Project;
        var hoop = project.Hooping.Hoop;
        var text = new StringBuilder($"Sewing field {hoop.FieldWidth:0.#} by {hoop.FieldHeight:0.#} mm. ");
        var elements = project.Elements;
        text.Append(
            elements.Length switch
            {
                0 => "Nothing stands on the wall yet.",
                1 => "One element.",
                _ => $"{elements.Length} elements, from the bottom of the stack.",
            }
        );
        foreach (var element in elements)
        {
            var box = evaluated.Outlines[element.Id].Bounds();
            text.Append(
                $" {element.Name}: {Stuff(element, project)}{box.Width:0.#} by {box.Height:0.#} mm, "
                    + $"{Place(box.Centre.X, box.Centre.Y)}, {Way(element)}{State(element)}."
            );
        }
        return text.ToString();
    }

    private static string Stuff(Element element, Project project) =>
        element switch
        {
            Words { Use: LetteringUse.StitchedOutline } words => $"the words “{OneLine(words)}”, ",
            Words words => $"the words “{OneLine(words)}” in {project.FindCloth(words.ClothId)!.Name}, ",
            AppliqueElement cloth => $"{project.FindCloth(cloth.ClothId)!.Name}, ",
            _ => "",
        };

    private static string OneLine(Words words) => words.Text.Replace('\n', ' ');

    private static string Way(Element element) =>
        element switch
        {
            { IsConstruction: true } => "a construction shape, neither sewn nor cut",
            Words { Use: LetteringUse.StitchedOutline } => "stitched along its edges",
            Words { Use: LetteringUse.OneByOne } words => $"{MethodName(words)}, letter by letter",
            AppliqueElement cloth => MethodName(cloth),
            _ => "a stitched line",
        };

    private static string MethodName(AppliqueElement cloth) => AppliqueMethods.Of(cloth.Method).Name.ToLowerInvariant();

    private static string State(Element element) =>
        (element.IsLocked ? ", locked" : "")
        + (element.IsHidden ? ", hidden on the wall" : "")
        + (element.GroupId is null ? "" : ", in a group");

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
