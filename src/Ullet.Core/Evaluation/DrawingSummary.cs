using System.Text;
using Ullet.Core.Makings;
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
                    + $"{Place(box.Centre.X, box.Centre.Y)}, {Way(element, project)}{State(element)}."
            );
        }
        return text.ToString();
    }

    private static string Stuff(Element element, Project project)
    {
        var words = element.FormedAs<TextForm>() is { } text ? $"the words “{text.Text.Replace('\n', ' ')}”" : "";
        var stuff = MakingModules.Of(element).OfWhat(element, project);
        return (words.Length, stuff.Length) switch
        {
            (0, 0) => "",
            (0, _) => $"{stuff}, ",
            (_, 0) => $"{words}, ",
            _ => $"{words} in {stuff}, ",
        };
    }

    private static string Way(Element element, Project project)
    {
        var way = MakingModules.Of(element).HowMade(element, project);
        return WordsUses.Of(element) == WordsUse.OneByOne ? $"{way}, letter by letter" : way;
    }

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
