using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Lays film under the rows of a filled area, or none. Rows so near each other that it would not show, and those that were
/// loosened for it, lie as is usual then.</summary>
public sealed record SetFilm : MakingEdit<FilledMaking>
{
    /// <summary>A cloth that is film; null for none.</summary>
    public string? FilmClothId { get; init; }

    public override string Label(Project before) =>
        FilmClothId is null ? $"Take the film of {PieceName(before)} away" : $"Lay film under {PieceName(before)}";

    private protected override Result<Project> Change(Element element, FilledMaking making, Project project) =>
        Unfit(project, FilmClothId) is { } no
            ? no
            : project.With(
                element.WithSettings(
                    making with
                    {
                        FilmClothId = FilmClothId,
                        Spacing = FilmClothId is not null && making.Spacing >= FillLimits.Shows ? making.Spacing : null,
                    }
                )
            );

    /// <summary>Says why a cloth can't be laid as film; null where it can, and for none.</summary>
    internal static Refusal? Unfit(Project project, string? clothId) =>
        clothId is null || project.FindCloth(clothId) is { Kind: ClothKind.Film }
            ? null
            : new Refusal(
                "film-unknown",
                "filmClothId",
                project.FindCloth(clothId) is { } cloth
                    ? $"{cloth.Name} is no film: it would not tear away. Choose a film, or add one to the cloths."
                    : $"This project has no cloth \"{clothId}\"."
            );
}
