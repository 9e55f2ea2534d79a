using Ullet.Core.Lettering;
using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Changes how words are set; what is null stays.</summary>
public sealed record SetLettering : WordsEdit
{
    public string? FontId { get; init; }

    public LetterSizing? Sizing { get; init; }

    /// <summary>How far letters may be narrowed to fit into their box, share of their width; 0.5 to 1.</summary>
    public double? NarrowedTo { get; init; }

    /// <summary>mm; letters keep their proportions.</summary>
    public double? CapHeight { get; init; }

    public TextAlign? Align { get; init; }

    public double? LineSpacing { get; init; }

    /// <summary>Share of the cap height.</summary>
    public double? Spacing { get; init; }

    /// <summary>Degrees.</summary>
    public double? Slant { get; init; }

    /// <summary>Degrees.</summary>
    public double? Arc { get; init; }

    public WordsUse? Use { get; init; }

    /// <summary>How a stitched outline is sewn.</summary>
    public LineSettings? Line { get; init; }

    public override string Label(Project before) =>
        (FontId, CapHeight, Use) switch
        {
            (not null, _, _) => $"Change the font of {WordsName(before)}",
            (_, not null, _) => $"Resize {WordsName(before)}",
            (_, _, not null) => $"Change the use of {WordsName(before)}",
            _ => $"Set {WordsName(before)} differently",
        };

    private protected override Result<Element> Change(
        Element element,
        TextForm words,
        Project project,
        EditContext context
    )
    {
        if (Line is { } line && StitchedLineEdits.Check(line, project) is { } wrong)
        {
            return wrong;
        }
        var made = element with
        {
            Form = words with
            {
                FontId = FontId ?? words.FontId,
                Sizing = Sizing ?? words.Sizing,
                NarrowedTo = NarrowedTo ?? (Sizing == LetterSizing.Box ? words.NarrowedTo ?? 1 : words.NarrowedTo),
                Align = Align ?? words.Align,
                LineSpacing = LineSpacing ?? words.LineSpacing,
                Spacing = Spacing ?? words.Spacing,
                Slant = Slant ?? words.Slant,
                Arc = Arc ?? words.Arc,
                IsOnePiece = Use is not (WordsUse.OnePiece or WordsUse.OneByOne)
                    ? words.IsOnePiece
                    : Use == WordsUse.OnePiece,
            },
        };
        var changed = OfItsFont(Used(made, project), words.FontId);
        if (MakingModules.Of(changed).Unfit(changed) is { } unfit)
        {
            return new Refusal("making-unfit", "fontId", unfit) { Kind = RefusalKind.NotPossible };
        }
        if (CapHeight is not { } height)
        {
            return changed;
        }
        var refusal = Limits.CheckRange(
            height,
            WordsLimits.CapHeight.Least,
            WordsLimits.CapHeight.Most,
            "mm",
            $"The cap height of {element.Name}",
            "capHeight"
        );
        var by = height / Math.Max(context.Evaluator.CapHeightOf(element), 1e-9);
        return refusal is not null
            ? refusal
            : changed with
            {
                Box = element.Box with { Width = element.Box.Width * by, Height = element.Box.Height * by },
            };
    }

    /// <summary>Satin along the lines of a single-line font, over the area of any other.</summary>
    private static Element OfItsFont(Element element, string fontWas)
    {
        var isOfLines = SingleLineFonts.Has(element.FormedAs<TextForm>()!.FontId);
        return isOfLines == SingleLineFonts.Has(fontWas) || element.SettingsOf<SatinMaking>() is not { } satin
            ? element
            : element.WithSettings(
                satin with
                {
                    AlongLines = isOfLines,
                    Band = isOfLines ? SatinBand.OfLetters : satin.Band,
                    // As when satin begins: strokes of letters that small are not widened.
                    Compensation = isOfLines ? 0 : null,
                }
            );
    }

    /// <summary>The words made into what is asked for, sewn as asked for; settings of the other making are kept.</summary>
    private Element Used(Element element, Project project)
    {
        if (Line is { } line)
        {
            element = element.WithSettings(
                (element.SettingsOf<LineMaking>() ?? new LineMaking()) with
                {
                    Stitching = line,
                }
            );
        }
        if (Use is not { } use)
        {
            return element;
        }
        return use switch
        {
            WordsUse.StitchedOutline => SetMaking.To(element, MakingModules.Of<LineMaking>(), project),
            WordsUse.Satin => SetMaking.To(element, MakingModules.Of<SatinMaking>(), project),
            WordsUse.Filled => SetMaking.To(element, MakingModules.Of<FilledMaking>(), project),
            WordsUse.OneByOne or WordsUse.OnePiece => SetMaking.To(element, MakingModules.Of<ClothMaking>(), project),
        };
    }
}
