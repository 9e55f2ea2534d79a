using Ullet.Core.Lettering;
using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sets words on top of the stack.</summary>
public sealed record AddWords : Edit
{
    /// <summary>Cap height where no size is given, mm; less where the field is small.</summary>
    public const double UsualCapHeight = 40;

    public required string Text { get; init; }

    public required string FontId { get; init; }

    /// <summary>mm; null for the usual, or for what <see cref="Width"/> or <see cref="FitWidth"/> gives.</summary>
    public double? CapHeight { get; init; }

    /// <summary>Width of the letters, cover excluded, mm; with it the height follows.</summary>
    public double? Width { get; init; }

    /// <summary>Which number stays when the words change.</summary>
    public LetterSizing Sizing { get; init; } = LetterSizing.CapHeight;

    /// <summary>Room across that the letters with their cover may take, mm; they are made as large as fits.</summary>
    public double? FitWidth { get; init; }

    /// <summary>Room down that the letters with their cover may take, mm.</summary>
    public double? FitHeight { get; init; }

    /// <summary>Middle across, mm right of the field's centre; without a place they go where no other words lie.</summary>
    public double? X { get; init; }

    /// <summary>Middle down, mm below the field's centre.</summary>
    public double? Y { get; init; }

    /// <summary>Turn, degrees clockwise.</summary>
    public double Rotation { get; init; }

    /// <summary>What becomes of the letters; null for what was made of words last.</summary>
    public WordsUse? Use { get; init; }

    /// <summary>The cloth; null for the one used last.</summary>
    public string? ClothId { get; init; }

    public Method? Method { get; init; }

    public override string Label(Project before) => $"Set {SetText.NameFrom(Text)}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var text = PlainText.Lines(Text);
        var cloth = ClothId is null ? UsualCloths.Of(project) : project.FindCloth(ClothId);
        if (cloth is null)
        {
            return EditRefusals.NoCloth(ClothId ?? "");
        }
        var use = Use ?? project.Habits.WordsUse ?? WordsUse.OneByOne;
        var form = new TextForm
        {
            Text = text,
            FontId = FontId,
            IsOnePiece = use == WordsUse.OnePiece,
            Sizing = Sizing,
        };
        var words = new Element
        {
            Id = $"e{project.NextNumber}",
            Name = SetText.NameFrom(text),
            Box = new ElementBox(X ?? 0, Y ?? 0, 1, 1, Rotation),
            Form = form,
            Making = AddPiece.Begun(project, cloth.Id, Method),
        };
        if (use == WordsUse.StitchedOutline)
        {
            words = words.Made(new LineMaking());
        }
        if (use == WordsUse.Filled)
        {
            words = SetMaking.To(words, MakingModules.Of<FilledMaking>(), project);
        }
        if (use == WordsUse.Satin)
        {
            words = SetMaking.To(words, MakingModules.Of<SatinMaking>(), project);
        }
        if (MakingModules.Of(words).Unfit(words) is { } unfit)
        {
            return new Refusal("making-unfit", "use", unfit) { Kind = RefusalKind.NotPossible };
        }
        if (WordsLimits.Check(form, context.Evaluator.Fonts) is { } refusal)
        {
            return refusal;
        }
        var ink = context.Evaluator.Lay(form).Ink;
        if (ink.IsEmpty)
        {
            return new Refusal("text-empty", "text", "These words have nothing to see in them; type some letters.");
        }
        var scale = Scale(ink, words, project);
        var box = words.Box with { Width = ink.Width * scale, Height = ink.Height * scale };
        if (X is null && Y is null)
        {
            box = Placed(box, words with { Box = box }, project, context);
        }
        if (
            (
                Limits.CheckRange(
                    scale * LaidText.CapHeight,
                    WordsLimits.CapHeight.Least,
                    WordsLimits.CapHeight.Most,
                    "mm",
                    $"The cap height of {words.Name}",
                    "capHeight"
                ) ?? Limits.CheckBox(box, words.Name)
            ) is
            { } tooLarge
        )
        {
            return tooLarge;
        }
        return project with
        {
            Elements = project.Elements.Add(words with { Box = box }),
            NextNumber = project.NextNumber + 1,
            Habits = project.Habits with { WordsUse = use, ClothId = ClothId ?? project.Habits.ClothId },
        };
    }

    /// <summary>The box where no other words lie.</summary>
    private static ElementBox Placed(ElementBox box, Element words, Project project, EditContext context)
    {
        var size = Bands.CoveredBoxOf(words with { Box = box with { X = 0, Y = 0 } }, project, context);
        var place = FreePlace.Of(size, FreePlace.Words(size.Height, project, context), FreePlace.Field(project));
        return box with { X = place.X, Y = place.Y };
    }

    private double Scale(Geometry.Box ink, Element words, Project project)
    {
        if (Width is { } width)
        {
            return width / ink.Width;
        }
        if (FitWidth is not null || FitHeight is not null)
        {
            // What is sewn reaches as far beyond the letters as their making does: the gap is kept to the thread.
            var cover = 2 * Math.Max(MakingModules.Of(words).Beyond(words, project), Bands.Outside(words, project));
            return Math.Min(
                FitWidth is { } across ? (across - cover) / ink.Width : double.MaxValue,
                FitHeight is { } down ? (down - cover) / ink.Height : double.MaxValue
            );
        }
        if (CapHeight is { } height)
        {
            return height / LaidText.CapHeight;
        }
        var hoop = project.Hooping.Hoop;
        var room = Math.Min(hoop.FieldWidth * 0.8 / ink.Width, hoop.FieldHeight * 0.8 / ink.Height);
        return Math.Min(UsualCapHeight / LaidText.CapHeight, room);
    }
}
