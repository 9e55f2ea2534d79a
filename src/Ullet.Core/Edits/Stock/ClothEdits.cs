using Ullet.Core.Documents;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Adds a cloth to the project.</summary>
public sealed record AddCloth : Edit
{
    public required string Name { get; init; }

    public required string Colour { get; init; }

    public ClothKind Kind { get; init; }

    public bool IsDeepPile { get; init; }

    public ClothTexture Texture { get; init; } = ClothTexture.Woven;

    public string? PatternColour { get; init; }

    public ClothSwatch? Swatch { get; init; }

    public override string Label(Project before) => $"Add cloth {Name}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var cloth = new Cloth
        {
            Id = $"c{project.NextNumber}",
            Name = Name.Trim(),
            Colour = Colour,
            Kind = Kind,
            IsDeepPile = IsDeepPile,
            Texture = Texture,
            PatternColour = PatternColour,
            Swatch = Swatch,
        };
        return ChangeCloth.Check(cloth) is { } refusal
            ? refusal
            : KeptCuts.Begun(
                project with
                {
                    Cloths = project.Cloths.Add(cloth),
                    NextNumber = project.NextNumber + 1,
                },
                context.KeptCuts
            );
    }
}

/// <summary>Changes a cloth wherever it is used.</summary>
public sealed record ChangeCloth : Edit
{
    public required Cloth Cloth { get; init; }

    public override string Label(Project before) => $"Change cloth {Cloth.Name}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (project.FindCloth(Cloth.Id) is null)
        {
            return EditRefusals.NoCloth(Cloth.Id);
        }
        return Check(Cloth) is { } refusal
            ? refusal
            : project with
            {
                Cloths = [.. project.Cloths.Select(cloth => cloth.Id == Cloth.Id ? Cloth : cloth)],
            };
    }

    internal static Refusal? Check(Cloth cloth) => DocumentCheck.ClothCheck(cloth);
}
