using System.Collections.Immutable;
using SkiaSharp;
using Ullet.Core.Moments;
using Ullet.Files.Instructions;
using Ullet.Files.Moments;

namespace Ullet.Files.Booklets;

/// <summary>Sets blocks on pages: what belongs together is never split, each page has its number. Points.</summary>
internal sealed class BookletPages : IDisposable
{
    private static readonly SKColor Ink = new(0x1d, 0x2a, 0x3a);
    private static readonly SKColor Quiet = new(0x4c, 0x59, 0x68);

    private readonly SKDocument _document;
    private readonly BookletLook _look;
    private readonly (string Title, string Then) _foot;
    private SKCanvas? _canvas;
    private int _page;
    private float _y;

    /// <param name="document">Where pages go.</param>
    /// <param name="look">Sizes.</param>
    /// <param name="title">Stands beside the page's number, as much of it as there is room for.</param>
    /// <param name="then">Stands after it.</param>
    internal BookletPages(SKDocument document, BookletLook look, string title, string then) =>
        (_document, _look, _foot) = (document, look, (title, then));

    /// <summary>How many pages there are.</summary>
    internal int Count => _page;

    private float Bottom => _look.Height - BookletLook.Margin - 14;

    /// <summary>Sets a block: on this page where it fits, else on the next; one that is higher than a page is set part by part.</summary>
    internal void Set(params List<BookletPart> parts)
    {
        var height = parts.Sum(part => part.Height(_look));
        if (_canvas is null || (_y + height > Bottom && _y > BookletLook.Margin))
        {
            NewPage();
        }
        foreach (var part in parts)
        {
            if (_y + part.Height(_look) > Bottom && _y > BookletLook.Margin)
            {
                NewPage();
            }
            part.Draw(_canvas!, BookletLook.Margin, _y, _look);
            _y += part.Height(_look);
        }
    }

    /// <summary>The next block begins on a page of its own.</summary>
    internal void NewPage()
    {
        End();
        _canvas = _document.BeginPage(_look.Width, _look.Height);
        _page++;
        _y = BookletLook.Margin;
    }

    internal void End()
    {
        if (_canvas is null)
        {
            return;
        }
        using var font = new SKFont(PdfPen.Regular, 9);
        using var paint = new SKPaint { Color = Quiet, IsAntialias = true };
        var y = _look.Height - BookletLook.Margin + 8;
        _canvas.DrawText(Foot(font), BookletLook.Margin, y, SKTextAlign.Left, font, paint);
        _canvas.DrawText($"{_page}", _look.Width - BookletLook.Margin, y, SKTextAlign.Right, font, paint);
        _document.EndPage();
        _canvas = null;
    }

    private string Foot(SKFont font) =>
        Lines(font.Size, false).Fitted(_foot.Title, _look.Room - 40 - font.MeasureText(_foot.Then)) + _foot.Then;

    public void Dispose() => End();

    private static readonly HankenMeasure Measure = new();

    /// <summary>Text set in letters of a size.</summary>
    internal static TextLines Lines(float size, bool isBold) => new(size, isBold, Measure);

    internal static SKColor InkColour => Ink;

    internal static SKColor QuietColour => Quiet;
}

/// <summary>A part of a block.</summary>
internal abstract record BookletPart
{
    internal abstract float Height(BookletLook look);

    internal abstract void Draw(SKCanvas canvas, float x, float y, BookletLook look);
}

/// <summary>Room between parts.</summary>
internal sealed record SpacePart(float Points) : BookletPart
{
    internal override float Height(BookletLook look) => Points;

    internal override void Draw(SKCanvas canvas, float x, float y, BookletLook look) { }
}

/// <summary>A paragraph.</summary>
/// <param name="Text">What it says.</param>
/// <param name="Size">Of its letters.</param>
internal sealed record TextPart(string Text, float Size) : BookletPart
{
    private const float Leading = 1.34f;

    internal bool IsBold { get; init; }

    internal bool IsQuiet { get; init; }

    internal float Indent { get; init; }

    /// <summary>How wide it may be; null for the page's room.</summary>
    internal float? Room { get; init; }

    /// <summary>True for a bar beside it: a warning is set apart so.</summary>
    internal bool HasBar { get; init; }

    internal override float Height(BookletLook look)
    {
        return Lines(look).Length * Size * Leading;
    }

    internal override void Draw(SKCanvas canvas, float x, float y, BookletLook look)
    {
        using var font = Font();
        using var paint = new SKPaint
        {
            Color = IsQuiet ? BookletPages.QuietColour : BookletPages.InkColour,
            IsAntialias = true,
        };
        var top = y;
        foreach (var line in Lines(look))
        {
            y += Size * Leading;
            canvas.DrawText(line, x + Indent, y - (Size * 0.3f), SKTextAlign.Left, font, paint);
        }
        if (HasBar)
        {
            canvas.DrawRect(x + Indent - 9, top + 2, 3, y - top - 2, paint);
        }
    }

    private SKFont Font() => new(IsBold ? PdfPen.Bold : PdfPen.Regular, Size);

    private ImmutableArray<string> Lines(BookletLook look) =>
        BookletPages.Lines(Size, IsBold).Broken(Text, Room ?? look.Room - Indent);
}

/// <summary>A drawing of a moment.</summary>
/// <param name="Moment">The moment.</param>
/// <param name="Points">Its height.</param>
internal sealed record DrawingPart(Moment Moment, float Points) : BookletPart
{
    private static readonly HankenMeasure Measure = new();

    internal override float Height(BookletLook look) => Points + 8;

    internal override void Draw(SKCanvas canvas, float x, float y, BookletLook look)
    {
        canvas.Save();
        canvas.Translate(x, y + 4);
        SkiaInk.Draw(canvas, MomentSheet.Of(Moment, look.Room, Points, look.Body * 0.95, Measure).Content);
        canvas.Restore();
    }
}

/// <summary>A picture.</summary>
/// <param name="File">A PNG.</param>
/// <param name="Side">Its box's side.</param>
internal sealed record PicturePart(byte[] File, float Side) : BookletPart
{
    internal override float Height(BookletLook look) => Side + 10;

    internal override void Draw(SKCanvas canvas, float x, float y, BookletLook look)
    {
        using var image = Small();
        var scale = Math.Min(look.Room / image.Width, Side / image.Height);
        var (width, height) = (image.Width * scale, image.Height * scale);
        canvas.DrawImage(
            image,
            SKRect.Create(x + ((look.Room - width) / 2), y, width, height),
            new SKSamplingOptions(SKCubicResampler.Mitchell)
        );
    }

    /// <summary>A photo from a phone has more pixels than a page can show.</summary>
    private const int MostPixels = 1000;

    private SKImage Small()
    {
        var whole = SKImage.FromEncodedData(File);
        var most = Math.Max(whole.Width, whole.Height);
        if (most <= MostPixels)
        {
            return whole;
        }
        using (whole)
        using (var bitmap = SKBitmap.FromImage(whole))
        {
            var size = new SKImageInfo(
                Math.Max(1, whole.Width * MostPixels / most),
                Math.Max(1, whole.Height * MostPixels / most)
            );
            using var small = bitmap.Resize(size, new SKSamplingOptions(SKCubicResampler.Mitchell));
            using var data = small.Encode(SKEncodedImageFormat.Jpeg, 82);
            return SKImage.FromEncodedData(data);
        }
    }
}
