using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>The box of basting that holds a ground which is laid on its stabiliser.</summary>
internal static class GroundBasting
{
    /// <summary>It lies this far inside the sewing field, mm.</summary>
    private const double Inside = 4;

    /// <summary>The project with such a box; as it is where something is basted to what is hooped already.</summary>
    internal static Project Added(Project project)
    {
        var hoop = project.Hooping.Hoop;
        return project.Elements.Any(element => element.MadeAs<BastingMaking>() is { HoldsId: null })
            ? project
            : project with
            {
                Elements = project.Elements.Add(
                    new Element
                    {
                        Id = $"e{project.NextNumber}",
                        Name = "Basting of the ground",
                        Box = new ElementBox(0, 0, hoop.FieldWidth - (2 * Inside), hoop.FieldHeight - (2 * Inside), 0),
                        Form = new ShapeForm(new RectangleShape(2)),
                        Making = new BastingMaking(),
                    }
                ),
                NextNumber = project.NextNumber + 1,
            };
    }
}
