using System.Collections.Immutable;
using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Makes the project from a pattern, or makes it anew at another size or with other words. What the user added, and what was
/// set by hand on the pattern's parts, stays.</summary>
public sealed record UsePattern : Edit
{
    public required string PatternId { get; init; }

    /// <summary>Sizes and counts; those left out keep what they are, or the usual.</summary>
    public ImmutableArray<PatternNumber> Numbers { get; init; } = [];

    /// <summary>Variants and outlines; those left out keep what they are, or the usual.</summary>
    public ImmutableArray<PatternPick> Choices { get; init; } = [];

    /// <summary>A closed shape on the wall whose form becomes the pattern's outline; null to keep what it has.</summary>
    public string? OutlineOf { get; init; }

    /// <summary>What becomes of the user's own additions.</summary>
    public AdditionsFate Additions { get; init; }

    /// <summary>Words and motifs; those left out keep what they are, or the usual.</summary>
    public ImmutableArray<PatternText> FillIns { get; init; } = [];

    /// <summary>True to make a project anew that was made by an earlier making of its pattern; else it keeps that.</summary>
    public bool MakeAnew { get; init; }

    /// <summary>The font of new words; null keeps them out where none is known.</summary>
    public string? FontId { get; init; }

    public override string Label(Project before) =>
        before.Pattern is null ? $"Begin with the {Name()}"
        : MakeAnew ? $"Make the {Name()} anew"
        : OutlineOf is not null || Choices.Length > 0 ? $"Choose the {Name()}'s making"
        : Numbers.IsEmpty ? "Fill in"
        : $"Resize the {Name()}";

    private string Name() => PatternShelf.Find(PatternId)?.Name.ToLowerInvariant() ?? "pattern";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (project.Pattern is { } other && other.PatternId != PatternId)
        {
            return new Refusal(
                "pattern-other",
                "patternId",
                "This project was made from another pattern; begin a new project for this one."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
        }
        var before = project.Pattern ?? PatternShelf.Begun(PatternId);
        if (MakeAnew)
        {
            before = before with { Making = PatternShelf.Begun(PatternId).Making };
        }
        if (PatternShelf.Find(before) is not { } pattern)
        {
            return PatternShelf.Plan(before).Refusal!;
        }
        var merged = WithOutline(Merged(pattern, MakeAnew ? InRange(pattern, before) : before), project);
        if (!merged.IsOk)
        {
            return merged.Refusal!;
        }
        var use = merged.Value;
        if (TextRefusal(pattern) is { } refusal)
        {
            return refusal;
        }
        return LikePlans
            .Of(use)
            .Then(plan => new PatternParts(project, use, plan, pattern, context, FontId, Additions).Made());
    }

    /// <summary>What an earlier making took and this one does not is brought to the nearest that it takes.</summary>
    private static PatternUse InRange(IPattern pattern, PatternUse use) =>
        use with
        {
            Numbers =
            [
                .. use.Numbers.Join(
                    pattern.Numbers,
                    number => number.Id,
                    field => field.Id,
                    (number, field) => number with { Value = Math.Clamp(number.Value, field.Least, field.Most) }
                ),
            ],
        };

    private PatternUse Merged(IPattern pattern, PatternUse before) =>
        before with
        {
            Numbers = [.. before.Numbers.Where(known => !Numbers.Any(number => number.Id == known.Id)), .. Numbers],
            Choices = [.. before.Choices.Where(known => !Choices.Any(pick => pick.Id == known.Id)), .. Choices],
            FillIns =
            [
                .. pattern.FillIns.Select(fill => new PatternText(
                    fill.Id,
                    FillIns.FirstOrDefault(text => text.Id == fill.Id) is { } given
                        ? PlainText.Line(given.Text)
                        : before.TextOf(fill.Id) ?? fill.Usual
                )),
                .. FillIns.Where(text => !pattern.FillIns.Any(fill => fill.Id == text.Id)),
            ],
        };

    private Result<PatternUse> WithOutline(PatternUse use, Projects.Project project)
    {
        if (OutlineOf is not { } id)
        {
            return use;
        }
        var choice = new PatternPick(SeamForms.ChoiceId, SeamForms.Own);
        return project.Find(id)?.Form.ShapeOf() is { } shape
            ? use with
            {
                Outline = shape,
                Choices = [.. use.Choices.Where(pick => pick.Id != choice.Id), choice],
            }
            : new Refusal(
                "outline-no-shape",
                "outlineOf",
                "Only a shape or a drawing can be a pattern's outline; words and guides can't."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
    }

    private Refusal? TextRefusal(IPattern pattern)
    {
        foreach (var text in FillIns)
        {
            if (pattern.FillIns.FirstOrDefault(fill => fill.Id == text.Id) is not { } fill)
            {
                return new Refusal(
                    "fill-in-unknown",
                    text.Id,
                    $"The pattern \"{pattern.Name}\" has no fill-in \"{text.Id}\"."
                );
            }
            if (!fill.Choices.IsEmpty && !fill.Choices.Contains(text.Text))
            {
                return new Refusal(
                    "motif-unknown",
                    text.Id,
                    $"{fill.Label} is one of {string.Join(", ", fill.Choices)}; \"{text.Text}\" is none of them."
                );
            }
            if (fill.Choices.IsEmpty && PlainText.Line(text.Text).Length > PatternFillIn.LongestText)
            {
                return new Refusal(
                    "fill-in-too-long",
                    text.Id,
                    $"{fill.Label} takes one line of up to {PatternFillIn.LongestText} characters; this has {text.Text.Length}."
                );
            }
        }
        return null;
    }
}
