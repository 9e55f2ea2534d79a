using Ullet.Core.Lettering;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Types words anew. What was changed at single letters stays with them where they remain.</summary>
public sealed record SetText : WordsEdit
{
    /// <summary>The words; lines are divided by "\n".</summary>
    public required string Text { get; init; }

    public override string Label(Project before) => $"Retype {WordsName(before)}";

    /// <summary>What words are called unless they were given a name: their first line.</summary>
    public static string NameFrom(string text)
    {
        var name = PlainText.Line(text);
        return name.Length == 0 ? "Words"
            : name.Length <= 40 ? name
            : name[..40].TrimEnd() + "…";
    }

    private protected override Result<Element> Change(
        Element element,
        TextForm words,
        Project project,
        EditContext context
    )
    {
        var text = PlainText.Lines(Text);
        return element with
        {
            Name = element.Name == NameFrom(words.Text) ? NameFrom(text) : element.Name,
            Form = words with
            {
                Text = text,
                // A text that is far too long is refused by the check that follows; it is not compared first.
                Touches = text.Length > TextForm.LongestText ? [] : Retyping.Carry(words.Touches, words.Text, text),
            },
        };
    }
}
