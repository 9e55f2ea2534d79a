using Ullet.Core.Forms;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>An edit of words. Their box follows: letters keep their size, or the box keeps its own, as the lettering says.</summary>
public abstract record WordsEdit : Edit
{
    public required string ElementId { get; init; }

    public sealed override Result<Project> Apply(Project project, EditContext context)
    {
        if (project.Find(ElementId) is not { } before || before.FormedAs<TextForm>() is not { } words)
        {
            return EditRefusals.NoElement(ElementId);
        }
        var changed = Change(before, words, project, context);
        if (!changed.IsOk)
        {
            return changed.Refusal!;
        }
        var after = changed.Value;
        if (FormModules.Of(after.Form).CheckAdded(after, context.Evaluator.Fonts) is { } refusal)
        {
            return refusal;
        }
        var fitted = Refitted(before, after, context);
        return Limits.CheckBox(fitted.Box, fitted.Name) is { } tooFar
            ? tooFar
            : Centring.Kept(project.With(fitted), fitted, context);
    }

    /// <summary>The words changed, their box not yet; or why not.</summary>
    private protected abstract Result<Element> Change(
        Element element,
        TextForm words,
        Project project,
        EditContext context
    );

    private protected string WordsName(Project project) => project.Find(ElementId)?.Name ?? "words";

    /// <summary>The words in the box that they need: the alignment's edge and the first baseline stay where they are.</summary>
    private static Element Refitted(Element before, Element after, EditContext context)
    {
        var (old, now) = (context.Evaluator.Lay(WordsOf(before)).Ink, context.Evaluator.Lay(WordsOf(after)).Ink);
        if (old.IsEmpty || now.IsEmpty || WordsOf(after).Sizing == LetterSizing.Box || after.Box != before.Box)
        {
            return after;
        }
        var (across, down) = (before.Box.Width / old.Width, before.Box.Height / old.Height);
        var anchor = new Point(-old.Centre.X * across, -old.Centre.Y * down);
        if (KeepsWidth(WordsOf(before), WordsOf(after)))
        {
            // The width stays, and with it where the words begin and end; the height follows.
            var by = old.Width / now.Width;
            (across, down) = (across * by, down * by);
            anchor = anchor with { X = -now.Centre.X * across };
        }
        var middle = new Point(now.Centre.X * across, now.Centre.Y * down);
        var at = BoxFit.OnWall(before.Box, anchor + middle);
        var box = before.Box with { X = at.X, Y = at.Y, Width = now.Width * across, Height = now.Height * down };
        return after with { Box = box };
    }

    /// <summary>True where other words, or another font, take the old ones' width; a nudged letter keeps its size.</summary>
    private static bool KeepsWidth(TextForm before, TextForm after) =>
        after.Sizing == LetterSizing.Width && (before.Text != after.Text || before.FontId != after.FontId);

    private static TextForm WordsOf(Element element) => element.FormedAs<TextForm>()!;
}
