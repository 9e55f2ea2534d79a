using System.Collections.Immutable;
using Ullet.Core.Lettering;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Moves, turns or scales one letter, or changes the gap after it; what is null stays.</summary>
public sealed record TouchLetter : WordsEdit
{
    /// <summary>The letter's number in the text: characters as a person sees them, line ends counted.</summary>
    public required int Index { get; init; }

    /// <summary>How far right of its own place, mm.</summary>
    public double? X { get; init; }

    /// <summary>How far below its own place, mm.</summary>
    public double? Y { get; init; }

    /// <summary>Further to the right than it is now, mm: what a key or a hand does.</summary>
    public double? ByX { get; init; }

    /// <summary>Further down than it is now, mm.</summary>
    public double? ByY { get; init; }

    /// <summary>Degrees clockwise.</summary>
    public double? Turn { get; init; }

    /// <summary>Size over the other letters'.</summary>
    public double? Scale { get; init; }

    /// <summary>Added to the gap after it, mm.</summary>
    public double? GapAfter { get; init; }

    /// <summary>True to set the gap after this letter and after all that follow in its line.</summary>
    public bool AndAllAfter { get; init; }

    /// <summary>True to take away everything that was changed at this letter.</summary>
    public bool Reset { get; init; }

    public override string Label(Project before)
    {
        var letter = before.Find(ElementId)?.FormedAs<TextForm>()?.Text is { } text ? LetterAt(text) : null;
        return Reset ? $"Put “{letter}” of {WordsName(before)} back"
            : GapAfter is not null ? $"Change the gap after “{letter}” of {WordsName(before)}"
            : Turn is not null ? $"Turn “{letter}” of {WordsName(before)}"
            : Scale is not null ? $"Resize “{letter}” of {WordsName(before)}"
            : $"Nudge “{letter}” of {WordsName(before)}";
    }

    private string? LetterAt(string text)
    {
        var letters = Characters.Of(text);
        return Index >= 0 && Index < letters.Length ? letters[Index] : null;
    }

    private protected override Result<Element> Change(
        Element element,
        TextForm words,
        Project project,
        EditContext context
    )
    {
        if (LetterAt(words.Text) is null or "\n")
        {
            return new Refusal("letter-unknown", "index", $"{element.Name} has no letter number {Index + 1}.");
        }
        var height = context.Evaluator.CapHeightOf(element);
        if (height <= 0)
        {
            return new Refusal("font-unknown", "fontId", $"The font of {element.Name} is not in this installation.");
        }
        var old = words.TouchOf(Index);
        var touch = Reset
            ? new LetterTouch(Index)
            : old with
            {
                X = (X / height ?? old.X) + ((ByX ?? 0) / height),
                Y = (Y / height ?? old.Y) + ((ByY ?? 0) / height),
                Turn = Turn ?? old.Turn,
                Scale = Scale ?? old.Scale,
                GapAfter = GapAfter / height ?? old.GapAfter,
            };
        var changed = With(words.Touches, touch);
        if (AndAllAfter && GapAfter is { } gap)
        {
            var letters = Characters.Of(words.Text);
            for (var i = Index + 1; i < letters.Length && letters[i] != "\n"; i++)
            {
                changed = With(changed, words.TouchOf(i) with { GapAfter = gap / height });
            }
        }
        return element with { Form = words with { Touches = changed } };
    }

    private static ImmutableArray<LetterTouch> With(ImmutableArray<LetterTouch> touches, LetterTouch touch)
    {
        var others = touches.Where(other => other.Index != touch.Index);
        return [.. (touch.IsNone ? others : others.Append(touch)).OrderBy(other => other.Index)];
    }
}
