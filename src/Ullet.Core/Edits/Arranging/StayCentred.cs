using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Keeps an element's outline centred in the hoop whatever its size becomes, or lets it go.</summary>
public sealed record StayCentred : Edit
{
    public required string ElementId { get; init; }

    public required bool On { get; init; }

    public override string Label(Project before) =>
        On ? $"Keep {NameOf(before, [ElementId])} centred" : $"Let {NameOf(before, [ElementId])} stand freely";

    public override Result<Project> Apply(Project project, EditContext context) =>
        Chosen
            .Find(project, [ElementId])
            .Then(elements =>
            {
                var element = elements[0] with { StaysCentred = On };
                return (Result<Project>)Centring.Kept(project.With(element), element, context);
            });
}
