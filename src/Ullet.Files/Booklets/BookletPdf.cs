using SkiaSharp;
using Ullet.Core.Booklets;
using Ullet.Core.Evaluation;
using Ullet.Files.Pictures;

namespace Ullet.Files.Booklets;

/// <summary>The booklet as PDF.</summary>
public static class BookletPdf
{
    private const int PictureSize = 900;

    /// <summary>The booklet on paper.</summary>
    /// <param name="evaluated">The project.</param>
    /// <param name="paper">A4 or Letter.</param>
    /// <param name="type">Large or compact.</param>
    /// <param name="photos">Photos of cloths, by asset.</param>
    public static byte[] Of(
        Evaluated evaluated,
        BookletPaper paper,
        BookletType type,
        IReadOnlyDictionary<string, byte[]>? photos = null
    )
    {
        var (booklet, look) = (BookletMaker.Of(evaluated), BookletLook.Of(paper, type));
        using var stream = new MemoryStream();
        var metadata = new SKDocumentPdfMetadata
        {
            Title = booklet.Title,
            Subject = $"Instructions, state {booklet.Code}",
            Creator = "Ullet",
            EncodingQuality = 88,
        };
        using (var document = SKDocument.CreatePdf(stream, metadata))
        {
            using (var pages = new BookletPages(document, look, booklet.Title, $", state {booklet.Code}"))
            {
                Cover(pages, look, booklet, ProjectPicture.Png(evaluated, PictureSize, PictureFrame.Design, photos));
                Cuts(pages, look, booklet);
                foreach (var chapter in booklet.Chapters)
                {
                    Chapter(pages, look, chapter, photos);
                }
                List(pages, look, "Finishing and care", booklet.Care);
            }
            document.Close();
        }
        return stream.ToArray();
    }

    private static TextPart Heading(string text, BookletLook look) =>
        new(text, look.Sentence * 1.25f) { IsBold = true };

    private static void Cover(BookletPages pages, BookletLook look, Booklet booklet, byte[] picture)
    {
        pages.Set(
            new TextPart(booklet.Title, look.Sentence * 1.7f) { IsBold = true },
            new SpacePart(8),
            new PicturePart(picture, look.Height * 0.42f)
        );
        foreach (var caution in booklet.Cautions)
        {
            pages.Set(
                new TextPart($"Made against a check: {caution}", look.Body)
                {
                    IsBold = true,
                    Indent = 12,
                    HasBar = true,
                }
            );
        }
        pages.Set([
            new SpacePart(6),
            .. booklet.Facts.Select(fact => new TextPart($"{fact.What}: {fact.Said}", look.Body)),
        ]);
        if (!booklet.Threads.IsEmpty)
        {
            pages.Set(
                new SpacePart(8),
                new TextPart("Threads, as the machine asks for them", look.Body) { IsBold = true },
                new ThreadsPart(booklet.Threads)
            );
        }
        pages.Set(new SpacePart(8), new TextPart($"State {booklet.Code}", look.Body) { IsBold = true });
        pages.NewPage();
    }

    private static void Cuts(BookletPages pages, BookletLook look, Booklet booklet)
    {
        if (!booklet.Cuts.IsEmpty)
        {
            var largest = booklet.Cuts.Max(row => Math.Max(row.Width, row.Height));
            var scale = CutTablePart.Side / (float)Math.Max(1, largest);
            var rows = booklet.Cuts.Select(row => new CutTablePart(row, scale)).ToList();
            pages.Set(
                Heading("Cut first", look),
                new TextPart("The drawings are to one scale. Sizes are the least that must be there.", look.Body)
                {
                    IsQuiet = true,
                },
                new SpacePart(6),
                rows[0]
            );
            rows.Skip(1).ToList().ForEach(row => pages.Set(row));
            pages.Set(new SpacePart(10));
        }
        List(pages, look, "Weeding and transfer", booklet.Film, isNumbered: true);
        List(pages, look, "Before you start", booklet.Before);
    }

    private static void List(
        BookletPages pages,
        BookletLook look,
        string title,
        IReadOnlyList<string> sentences,
        bool isNumbered = false
    )
    {
        for (var i = 0; i < sentences.Count; i++)
        {
            var text = new TextPart(isNumbered ? $"{i + 1}. {sentences[i]}" : sentences[i], look.Body);
            if (i == 0)
            {
                pages.Set(Heading(title, look), new SpacePart(4), text, new SpacePart(4));
            }
            else
            {
                pages.Set(text, new SpacePart(4));
            }
        }
        pages.Set(new SpacePart(10));
    }

    private static void Chapter(
        BookletPages pages,
        BookletLook look,
        BookletChapter chapter,
        IReadOnlyDictionary<string, byte[]>? photos
    )
    {
        pages.NewPage();
        if (chapter.Steps.IsEmpty)
        {
            pages.Set(Heading(chapter.Title, look), new TextPart("There is nothing to sew yet.", look.Body));
            return;
        }
        for (var i = 0; i < chapter.Steps.Length; i++)
        {
            List<BookletPart> block = [.. Step(chapter.Steps[i], look, photos)];
            pages.Set(i == 0 ? [Heading(chapter.Title, look), new SpacePart(6), .. block] : block);
        }
    }

    private static IEnumerable<BookletPart> Step(
        BookletStep step,
        BookletLook look,
        IReadOnlyDictionary<string, byte[]>? photos
    )
    {
        yield return new TextPart($"{step.Number}. {step.Sentence}", step.IsHands ? look.Sentence : look.Body)
        {
            IsBold = step.IsHands,
        };
        if (step.Warning is { } warning)
        {
            yield return new SpacePart(3);
            yield return new TextPart(warning, look.Body)
            {
                IsBold = true,
                Indent = 20,
                HasBar = true,
            };
        }
        if (step.Check is { } check)
        {
            yield return new TextPart($"Before you press start: {check}", look.Body) { Indent = 20 };
        }
        if (step.Note is { } note)
        {
            yield return new TextPart($"Your note: {note}", look.Body) { Indent = 20 };
        }
        yield return new DrawingPart(step.Moment, step.IsHands ? look.Drawing : look.Small);
        if (step.Photo is { } photo && photos?.TryGetValue(photo, out var file) == true)
        {
            yield return new PicturePart(file, look.Drawing);
        }
        yield return new TextPart(step.Small, look.Body * 0.85f) { IsQuiet = true };
        yield return new SpacePart(14);
    }
}
