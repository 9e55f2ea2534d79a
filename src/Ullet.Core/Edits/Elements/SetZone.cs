using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Changes what a zone is for.</summary>
public sealed record SetZone : MakingEdit<ZoneMaking>
{
    public required ZoneRole Role { get; init; }

    public override string Label(Project before) => $"Change {PieceName(before)}";

    private protected override Result<Project> Change(Element element, ZoneMaking making, Project project) =>
        project.With(
            element.WithSettings(making with { Role = Role }) with
            {
                Name = element.Name == AddZone.NameOf(making.Role) ? AddZone.NameOf(Role) : element.Name,
            }
        );
}
