using Ullet.Core.Forms;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Gives elements other boxes; what stands in their frame goes along.</summary>
internal static class Resizing
{
    /// <summary>An element in another box, or why it can't have it.</summary>
    internal static Result<Project> InBox(Project project, Element element, ElementBox box, EditContext context)
    {
        if (Limits.CheckBox(box, element.Name, mayBeFlat: element.IsLinework) is { } wrong)
        {
            return wrong;
        }
        var old = element.Box;
        var moved = element with
        {
            Box = box,
            Form = FormModules
                .Of(element.Form)
                .Scaled(element.Form, Factor(box.Width, old.Width), Factor(box.Height, old.Height)),
        };
        return Centring.Kept(project.With(moved), moved, context);
    }

    /// <summary>An element larger by factors along its own width and height; its middle stays.</summary>
    internal static Result<Project> Scaled(
        Project project,
        Element element,
        double across,
        double down,
        EditContext context
    ) =>
        InBox(
            project,
            element,
            element.Box with
            {
                Width = element.Box.Width * across,
                Height = element.Box.Height * down,
            },
            context
        );

    /// <summary>A straight line has no size across; it keeps its own.</summary>
    private static double Factor(double now, double old) => old == 0 ? 1 : now / old;
}
