using Ullet.Core.Makings;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Adds what was drawn.</summary>
internal static class DrawnByHand
{
    internal static Result<Project> Added(Project project, DrawnShape drawn)
    {
        if (ShapeLimits.CheckLine(drawn) is { } broken)
        {
            return broken;
        }
        var line = drawn.Lines[0];
        var isClosed = line.Curves.Length > 1 && line.IsClosed;
        if (isClosed && ShapeLimits.Check(drawn) is { } flat)
        {
            return flat;
        }
        var bounds = DrawnElements.BoundsOf(line);
        var box = new ElementBox(bounds.Centre.X, bounds.Centre.Y, bounds.Width, bounds.Height, 0);
        var name = $"{(isClosed ? "Drawing" : "Line")} {project.NextNumber}";
        if (Limits.CheckBox(box, name, mayBeFlat: !isClosed) is { } wrong)
        {
            return wrong;
        }
        if (UsualCloths.Of(project) is not { } cloth)
        {
            return EditRefusals.NoCloth("");
        }
        var id = $"e{project.NextNumber}";
        var element = new Element
        {
            Id = id,
            Name = name,
            Box = box,
            Form = new DrawingForm(drawn),
            Making = isClosed ? AddPiece.Begun(project, cloth.Id) : new LineMaking(),
        };
        return project with { Elements = project.Elements.Add(element), NextNumber = project.NextNumber + 1 };
    }
}
