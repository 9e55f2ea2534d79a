using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Keeps elements in the field's centre that are to stay there.</summary>
internal static class Centring
{
    /// <summary>The document with the element's outline centred again, when it is to stay centred.</summary>
    internal static Project Kept(Project project, Element element, EditContext context)
    {
        if (!element.StaysCentred)
        {
            return project;
        }
        var middle = context.Evaluator.OutlineOf(element).Bounds().Centre - project.Hooping.Hoop.Middle;
        return project.With(
            element with
            {
                Box = element.Box with { X = element.Box.X - middle.X, Y = element.Box.Y - middle.Y },
            }
        );
    }
}
