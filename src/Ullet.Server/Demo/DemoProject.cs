using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Server.Demo;

/// <summary>Builds a demo project through the same edits as a user's.</summary>
internal sealed class DemoProject
{
    private static readonly EditContext Context = new(new Evaluator(new StationCache()));

    private static readonly ImmutableArray<Cloth> Cloths =
    [
        Cloth("oat", "oat linen", "#e9e0cb", ClothKind.Linen, ClothTexture.Woven),
        Cloth("stabiliser", "tear-away stabiliser", "#f4f4f2", ClothKind.Stabiliser, ClothTexture.Plain),
        Cloth("shed", "shed green cotton", "#35584b", ClothKind.WovenCotton, ClothTexture.Woven),
        Cloth("beet", "beetroot cotton", "#97304f", ClothKind.WovenCotton, ClothTexture.Woven),
        Cloth("leaf", "leaf dotted cotton", "#7c9a4a", ClothKind.WovenCotton, ClothTexture.Dotted),
        Cloth("straw", "straw felt", "#d8b664", ClothKind.Felt, ClothTexture.Plain),
        Cloth("carrot", "carrot striped cotton", "#d9762e", ClothKind.WovenCotton, ClothTexture.Striped),
        Cloth("barrow", "barrow red vinyl", "#b23a34", ClothKind.Vinyl, ClothTexture.Plain),
    ];

    private static readonly ImmutableArray<MachineThread> Threads =
    [
        Thread("slate", "slate grey", "#59646f"),
        Thread("straw", "straw gold", "#c99a2e"),
        Thread("plum", "plum", "#5e1c38"),
        Thread("fern", "fern green", "#4d6b2b"),
        Thread("rust", "rust orange", "#b4551a"),
    ];

    internal DemoProject(string title, double fieldWidth, double fieldHeight)
    {
        Project = new Project
        {
            Title = title,
            Cloths = Cloths,
            Threads = Threads,
            NextNumber = 1,
            Hooping = new Hooping
            {
                Id = "h1",
                Name = "Front",
                Hoop =
                    Hoop.OfField(fieldWidth, fieldHeight)
                    ?? throw new ArgumentException("No hoop of the catalogue has this field."),
                GroundClothId = "oat",
                StabiliserClothId = "stabiliser",
                LineThreadId = "slate",
                CoverThreadId = "straw",
            },
        };
    }

    internal Project Project { get; private set; }

    /// <summary>Adds a piece with its cover's thread and width.</summary>
    internal DemoProject Piece(
        string name,
        ShapeSource shape,
        ElementBox box,
        string cloth,
        Method method,
        string thread,
        double? coverWidth = null,
        PieceHole? hole = null
    )
    {
        Apply(
            new AddPiece
            {
                Name = name,
                Shape = shape,
                Box = box,
                ClothId = cloth,
                Method = method,
            }
        );
        var id = Project.Elements[^1].Id;
        Apply(
            new SetCover
            {
                ElementId = id,
                Cover = new CoverSettings { ThreadId = thread, Width = coverWidth },
            }
        );
        if (hole is not null)
        {
            Apply(new SetHole { ElementId = id, Hole = hole });
        }
        return this;
    }

    private void Apply(Edit edit) => Project = edit.Apply(Project, Context).Value;

    private static Cloth Cloth(string id, string name, string colour, ClothKind kind, ClothTexture texture) =>
        new()
        {
            Id = id,
            Name = name,
            Colour = colour,
            Kind = kind,
            Texture = texture,
        };

    private static MachineThread Thread(string id, string name, string colour) =>
        new()
        {
            Id = id,
            Name = name,
            Colour = colour,
        };
}
