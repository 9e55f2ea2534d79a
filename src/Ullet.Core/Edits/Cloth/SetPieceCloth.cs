using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Cuts an element from another cloth, or gives that to its settings of cloth where it is made of something else. New pieces
/// begin with it.</summary>
public sealed record SetPieceCloth : OneElementEdit
{
    public required string ClothId { get; init; }

    public override string Label(Project before) => $"Change the cloth of {PieceName(before)}";

    private protected override Result<Project> Change(Element element, Project project)
    {
        if (project.FindCloth(ClothId) is null)
        {
            return EditRefusals.NoCloth(ClothId);
        }
        var inUse = MakingModules.Of(element).ClothOf(element.Making) is not null;
        return (inUse ? element.Making : element.SettingsOf<ClothMaking>()) is not { } making
            ? EditRefusals.WrongKind(element)
            : project.With(element.WithSettings(MakingModules.Of(making).InCloth(making, ClothId))) with
            {
                Habits = project.Habits with { ClothId = ClothId },
            };
    }
}
