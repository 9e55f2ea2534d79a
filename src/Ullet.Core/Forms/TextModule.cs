using System.Collections.Immutable;
using Ullet.Core.Lettering;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Forms;

/// <summary>Words set in a font.</summary>
internal sealed class TextModule : FormModule<TextForm>
{
    private static readonly LetterSetting Setting = new();

    /// <summary>Words as their font sets them, before they are fitted to their box; nothing without the font.</summary>
    internal static LaidText Lay(TextForm words, IGlyphSource fonts) =>
        fonts.Find(words.FontId) is { } font ? Setting.Set(words, font) : LaidText.Nothing;

    private protected override string Called(TextForm form) => "Words";

    private protected override ElementOutline Outline(TextForm form, Element element, IGlyphSource fonts)
    {
        var letters = Lay(form, fonts).Letters;
        if (letters.IsEmpty)
        {
            return new ElementOutline(Geometry.Outline.Empty, []);
        }
        var joined = LetterSetting.Together([.. letters.Select(letter => letter.Outline)]);
        var map = BoxFit.Map(joined, Room(form, joined.Bounds(), element.Box));
        var whole = joined.Transform(map);
        ImmutableArray<PartOutline> parts =
        [
            .. letters.Select(letter => new PartOutline(letter.Index, letter.Text, letter.Outline.Transform(map))),
        ];
        return InParts(element, whole, form.IsOnePiece ? [new PartOutline(0, null, whole)] : parts) with
        {
            Letters = parts,
        };
    }

    /// <summary>The part of a box that words take without being stretched, or narrowed more than they may be.</summary>
    internal static ElementBox Room(TextForm words, Geometry.Box ink, ElementBox box)
    {
        if (
            words.Sizing != LetterSizing.Box
            || words.NarrowedTo is not { } least
            || ink.Width < 1e-9
            || ink.Height < 1e-9
        )
        {
            return box;
        }
        var (across, down) = (box.Width / ink.Width, box.Height / ink.Height);
        return across >= down ? box with { Width = ink.Width * down }
            : across >= down * least ? box
            : box with { Height = ink.Height * across / least };
    }

    private protected override ContentHash Key(TextForm form, IGlyphSource fonts) =>
        ContentHash.Of(form, $"words-{fonts.Find(form.FontId)?.ContentKey}");

    private protected override Refusal? Check(TextForm form) =>
        WordsLimits.CheckText(form.Text) ?? WordsLimits.CheckNumbers(form);

    private protected override Refusal? CheckAdded(TextForm form, Element element, IGlyphSource fonts) =>
        WordsLimits.Check(form, fonts);

    private protected override string? Missing(TextForm form) => null;

    private protected override TextForm Clamped(TextForm form) =>
        form with
        {
            LineSpacing = 1,
            Spacing = 0,
            Slant = 0,
            Arc = 0,
            Touches = [],
        };

    private protected override TextForm Cleaned(TextForm form) =>
        PlainText.Lines(form.Text) is var clean && clean != form.Text ? form with { Text = clean } : form;

    private protected override IEnumerable<(string What, int Count, int Most)> Counts(TextForm form) =>
        [("touched letters", form.Touches.Length, TextForm.LongestText)];

    private protected override IEnumerable<string> FontIds(TextForm form) => [form.FontId];
}
