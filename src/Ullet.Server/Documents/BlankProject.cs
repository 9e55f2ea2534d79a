using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Server.Documents;

/// <summary>A new project: an empty hoop, a small choice of cloths and threads to begin with.</summary>
public static class BlankProject
{
    public const string UsualTitle = "Untitled project";

    /// <param name="title">Null for <see cref="UsualTitle"/>.</param>
    /// <param name="fieldWidth">Sewing field, mm; null for 130.</param>
    /// <param name="fieldHeight">Sewing field, mm; null for 180.</param>
    public static Result<Project> Make(string? title, double? fieldWidth, double? fieldHeight)
    {
        var context = new EditContext(new Evaluator(new StationCache()));
        var start = new Project
        {
            Title = UsualTitle,
            Cloths =
            [
                Stuff.Cloth("ground", "oat linen", "#e6dcc6", ClothKind.Linen),
                Stuff.Cloth("stabiliser", "tear-away stabiliser", "#f4f4f2", ClothKind.Stabiliser, ClothTexture.Plain),
                Stuff.Cloth("clay", "clay cotton", "#c0694a", ClothKind.WovenCotton),
                Stuff.Cloth("pond", "pond dotted cotton", "#3f7287", ClothKind.WovenCotton, ClothTexture.Dotted),
                Stuff.Cloth("hay", "hay felt", "#d9b45a", ClothKind.Felt, ClothTexture.Plain),
            ],
            Threads =
            [
                Stuff.Thread("slate", "slate", "#4a5868"),
                Stuff.Thread("rust", "rust", "#8c3f28"),
                Stuff.Thread("ink", "ink blue", "#2c4560"),
            ],
            Hoopings =
            [
                new Hooping
                {
                    Id = "h1",
                    Name = "Front",
                    Hoop = Hoop.Catalogue[1],
                    GroundClothId = "ground",
                    StabiliserClothId = "stabiliser",
                    LineThreadId = "slate",
                    CoverThreadId = "rust",
                },
            ],
        };
        var titled = title is null ? start : new RenameProject { Title = title }.Apply(start, context);
        return titled.Then(project =>
            new SetHooping { FieldWidth = fieldWidth, FieldHeight = fieldHeight }.Apply(project, context)
        );
    }
}
