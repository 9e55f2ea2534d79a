using Ullet.Core.Geometry;
using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Makes the whole design as large as fits into the sewing field, covers counted in, and centres it.</summary>
public sealed record FitField : Edit
{
    /// <summary>Room left at the field's edges, mm: needles draw cloth by as much.</summary>
    private const double Room = 1;

    public override string Label(Project before) => "Fit the design into the field";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var elements = project.Elements.Where(element => element.Making is not ZoneMaking).ToList();
        var box = elements.Aggregate(Box.Empty, (sum, each) => sum.Union(Bands.BoxOf(each, context)));
        if (box.IsEmpty)
        {
            return new Refusal("nothing-to-place", "elementIds", "There is nothing on the wall to fit.");
        }
        var beyond = elements.Max(each =>
            Math.Max(MakingModules.Of(each).Beyond(each, project), Bands.Outside(each, project))
        );
        var (field, taken) = (FreePlace.Field(project), 2 * (beyond + Room));
        var by = Math.Min((field.Width - taken) / box.Width, (field.Height - taken) / box.Height);
        return by <= 0
            ? new Refusal(
                "no-room",
                "elementIds",
                $"There is no room: covers alone take {LengthText.Mm(taken)} of the field."
            )
            : new PlaceElements
            {
                ElementIds = [.. elements.Select(element => element.Id)],
                X = field.Centre.X,
                Y = field.Centre.Y,
                Width = box.Width * by,
                Height = box.Height * by,
                KeepProportions = true,
            }.Apply(project, context);
    }
}
