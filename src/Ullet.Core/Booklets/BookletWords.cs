using System.Collections.Immutable;
using Ullet.Core.Projects;

namespace Ullet.Core.Booklets;

/// <summary>A booklet's sentences in the unit that is shown; what a person typed is left word for word.</summary>
internal static class BookletWords
{
    internal static Booklet In(Booklet booklet, LengthUnit unit)
    {
        string Said(string words) => LengthWords.In(words, unit);
        ImmutableArray<string> All(ImmutableArray<string> words) => [.. words.Select(Said)];
        return unit == LengthUnit.Millimetre
            ? booklet
            : booklet with
            {
                Facts = [.. booklet.Facts.Select(fact => fact with { Said = Said(fact.Said) })],
                Before = All(booklet.Before),
                Film = All(booklet.Film),
                Care = All(booklet.Care),
                Cautions = All(booklet.Cautions),
                Cuts = [.. booklet.Cuts.Select(row => row with { Note = Said(row.Note) })],
                Chapters = [.. booklet.Chapters.Select(chapter => chapter with { Steps = In(chapter.Steps, unit) })],
            };
    }

    internal static ImmutableArray<BookletStep> In(ImmutableArray<BookletStep> steps, LengthUnit unit)
    {
        string? Told(string? words) => words is null ? null : LengthWords.In(words, unit);
        return unit == LengthUnit.Millimetre
            ? steps
            :
            [
                .. steps.Select(step =>
                    step with
                    {
                        Sentence = LengthWords.In(step.Sentence, unit),
                        Warning = Told(step.Warning),
                        Check = Told(step.Check),
                        Small = LengthWords.In(step.Small, unit),
                    }
                ),
            ];
    }
}
