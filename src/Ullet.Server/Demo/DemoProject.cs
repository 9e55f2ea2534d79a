using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Fonts;
using Ullet.Server.Documents;

namespace Ullet.Server.Demo;

/// <summary>Builds a demo project through the same edits as a user's.</summary>
internal sealed class DemoProject
{
    private static readonly EditContext Context = new(new Evaluator(new StationCache(), new FontShelf()));

    private static readonly ImmutableArray<Cloth> Cloths =
    [
        Stuff.Cloth("oat", "oat linen", "#e9e0cb", ClothKind.Linen, ClothTexture.Woven),
        Stuff.Cloth("stabiliser", "tear-away stabiliser", "#f4f4f2", ClothKind.Stabiliser, ClothTexture.Plain),
        Stuff.Cloth("shed", "shed green cotton", "#35584b", ClothKind.WovenCotton, ClothTexture.Woven),
        Stuff.Cloth("beet", "beetroot cotton", "#97304f", ClothKind.WovenCotton, ClothTexture.Woven),
        Stuff.Cloth("leaf", "leaf dotted cotton", "#7c9a4a", ClothKind.WovenCotton, ClothTexture.Dotted),
        Stuff.Cloth("straw", "straw felt", "#d8b664", ClothKind.Felt, ClothTexture.Plain),
        Stuff.Cloth("carrot", "carrot striped cotton", "#d9762e", ClothKind.WovenCotton, ClothTexture.Striped),
        Stuff.Cloth("barrow", "barrow red vinyl", "#b23a34", ClothKind.Vinyl, ClothTexture.Plain),
    ];

    private static readonly ImmutableArray<MachineThread> Threads =
    [
        Stuff.Thread("slate", "slate grey", "#59646f"),
        Stuff.Thread("straw", "straw gold", "#c99a2e"),
        Stuff.Thread("plum", "plum", "#5e1c38"),
        Stuff.Thread("fern", "fern green", "#4d6b2b"),
        Stuff.Thread("rust", "rust orange", "#b4551a"),
    ];

    internal DemoProject(string title, double fieldWidth, double fieldHeight)
    {
        Project = new Project
        {
            Title = title,
            Cloths = Cloths,
            Threads = Threads,
            NextNumber = 1,
            Hoopings =
            [
                new Hooping
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
            ],
        };
    }

    internal Project Project { get; private set; }

    /// <summary>Adds a piece with its cover's thread and width, and its kind where that is no satin.</summary>
    internal DemoProject Piece(
        string name,
        ShapeSource shape,
        ElementBox box,
        string cloth,
        Method method,
        string thread,
        double? coverWidth = null,
        PieceHole? hole = null,
        CoverSettings? cover = null
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
                Cover = (cover ?? new CoverSettings()) with { ThreadId = thread, Width = coverWidth },
            }
        );
        if (hole is not null)
        {
            Apply(new SetHole { ElementId = id, Hole = hole });
        }
        return this;
    }

    /// <summary>Sets words at a width, with their cover's thread and width.</summary>
    internal DemoProject Words(
        string text,
        string font,
        double width,
        double x,
        double y,
        string cloth,
        string thread,
        WordsUse use = WordsUse.OneByOne,
        double? coverWidth = null
    )
    {
        Apply(
            new AddWords
            {
                Text = text,
                FontId = font,
                Width = width,
                X = x,
                Y = y,
                ClothId = cloth,
                Method = Method.CutBeforehand,
                Use = use,
            }
        );
        var id = Project.Elements[^1].Id;
        Apply(
            use == WordsUse.Satin
                ? new SetSatin
                {
                    ElementId = id,
                    Satin = new SatinMaking { ThreadId = thread },
                }
            : use == WordsUse.StitchedOutline
                ? new SetLettering
                {
                    ElementId = id,
                    Line = new LineSettings { Kind = LineKind.Bean, ThreadId = thread },
                }
            : new SetCover
            {
                ElementId = id,
                Cover = new CoverSettings { ThreadId = thread, Width = coverWidth },
            }
        );
        return this;
    }

    /// <summary>How a cloth is cut.</summary>
    internal DemoProject Cut(ClothCut cut)
    {
        Project = Project with { Cut = Project.Cut.With(cut) };
        return this;
    }

    /// <summary>Sews its pieces stage by stage.</summary>
    internal DemoProject Together()
    {
        Apply(new SetOrder { Order = StitchOrder.Together });
        return this;
    }

    /// <summary>Keeps a named piece in place by other means than tape.</summary>
    internal DemoProject Hold(string name, Holding holding)
    {
        var piece = Project.Appliques().First(element => element.Name == name);
        Apply(
            new SetMethod
            {
                ElementId = piece.Id,
                Method = piece.Method,
                Holding = holding,
            }
        );
        return this;
    }

    /// <summary>Nudges a letter of the words set last.</summary>
    internal DemoProject Nudge(int letter, double down, double turn)
    {
        Apply(
            new TouchLetter
            {
                ElementId = Project.Elements[^1].Id,
                Index = letter,
                Y = down,
                Turn = turn,
            }
        );
        return this;
    }

    /// <summary>Does something live to a named element; sources are given by their names.</summary>
    internal DemoProject Do(string name, Func<Func<string, string>, Operation> operation)
    {
        string Id(string wanted) => Project.Elements.First(element => element.Name == wanted).Id;
        Apply(new AddOperation { ElementId = Id(name), Operation = operation(Id) });
        return this;
    }

    /// <summary>Begins with a pattern.</summary>
    internal DemoProject From(
        string pattern,
        (string Id, double Value)[] numbers,
        (string Id, string Text)[] fillIns
    ) =>
        Apply(
            new UsePattern
            {
                PatternId = pattern,
                FontId = FontShelf.UsualId,
                Numbers = [.. numbers.Select(number => new PatternNumber(number.Id, number.Value))],
                FillIns = [.. fillIns.Select(fill => new PatternText(fill.Id, fill.Text))],
            }
        );

    /// <summary>Makes an edit that must succeed.</summary>
    internal DemoProject Apply(Edit edit)
    {
        Project = edit.Apply(Project, Context).Value;
        return this;
    }
}
