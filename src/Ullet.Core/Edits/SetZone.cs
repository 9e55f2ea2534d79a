using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Changes what a zone is for.</summary>
public sealed record SetZone : ElementEdit<Zone>
{
    public required ZoneRole Role { get; init; }

    public override string Label(Project before) => $"Change {PieceName(before)}";

    private protected override Result<Project> Change(Zone piece, Project project) =>
        project.With(
            piece with
            {
                Role = Role,
                Name = piece.Name == AddZone.NameOf(piece.Role) ? AddZone.NameOf(Role) : piece.Name,
            }
        );
}
