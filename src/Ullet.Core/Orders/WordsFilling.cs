using System.Globalization;
using Ullet.Core.Lettering;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>Words that change from order to order.</summary>
internal sealed class WordsFilling : FillInKind<WordsFillIn>
{
    public override string Kind => "words";

    public override string Name => "Words";

    private protected override Result<string> Read(WordsFillIn fillIn, string text, Project project)
    {
        var typed = PlainText.Lines(text).Trim();
        if (fillIn.Fit.AllCapitals)
        {
            typed = typed.ToUpperInvariant();
        }
        var count = Characters.Of(typed).Length;
        if (count > fillIn.Longest)
        {
            return new Refusal(
                "fill-in-too-long",
                fillIn.Label,
                $"{fillIn.Label} takes up to {fillIn.Longest} characters; “{Short(typed)}” has {count:N0}."
            );
        }
        var wrong = Characters
            .Of(typed)
            .Where(character => !IsAllowed(character, fillIn))
            .Distinct(StringComparer.Ordinal)
            .Take(8)
            .ToList();
        return wrong.Count == 0
            ? typed
            : new Refusal(
                "fill-in-characters",
                fillIn.Label,
                $"{fillIn.Label} takes {Said(fillIn)}; leave out {string.Join(", ", wrong.Select(each => $"“{each}”"))}."
            );
    }

    private protected override Result<Filled> Fill(WordsFillIn fillIn, string meant, FillingWork work) =>
        Lettered.Fill(fillIn, meant, work);

    private protected override string? Odd(WordsFillIn fillIn, string text, string meant) =>
        LookAlikes.In(meant) is { } odd ? $"{fillIn.Label}: {odd}" : null;

    private static string Said(WordsFillIn fillIn) =>
        fillIn.Characters switch
        {
            CharacterSet.Any => "all characters",
            CharacterSet.Letters => "letters",
            CharacterSet.LettersAndFigures => "letters and figures",
            CharacterSet.Figures => "figures",
            _ => throw new InvalidOperationException("Unknown set of characters."),
        } + (fillIn.Also.Length > 0 ? $" and {fillIn.Also}" : "");

    private static bool IsAllowed(string character, WordsFillIn fillIn) =>
        character == "\n"
        || fillIn.Also.Contains(character, StringComparison.Ordinal)
        || fillIn.Characters switch
        {
            CharacterSet.Any => true,
            CharacterSet.Letters => IsOfLetters(character),
            CharacterSet.LettersAndFigures => IsOfLetters(character) || char.IsDigit(character, 0),
            CharacterSet.Figures => char.IsDigit(character, 0),
            _ => throw new InvalidOperationException("Unknown set of characters."),
        };

    private static bool IsOfLetters(string character) =>
        character is " " or "'" or "’" or "-" or "‐" or "."
        || CharUnicodeInfo.GetUnicodeCategory(character, 0)
            is UnicodeCategory.UppercaseLetter
                or UnicodeCategory.LowercaseLetter
                or UnicodeCategory.TitlecaseLetter
                or UnicodeCategory.ModifierLetter
                or UnicodeCategory.OtherLetter
                or UnicodeCategory.NonSpacingMark
                or UnicodeCategory.SpacingCombiningMark;
}
