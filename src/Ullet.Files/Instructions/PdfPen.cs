using System.Reflection;
using SkiaSharp;
using Ullet.Core.Moments;
using Ullet.Files.Moments;

namespace Ullet.Files.Instructions;

/// <summary>Writes lines of text down the pages of a PDF; breaks lines and pages by itself. Points, 72 to the inch.</summary>
internal sealed class PdfPen : IDisposable
{
    internal static readonly SKTypeface Regular = Load("HankenGrotesk_400Regular.ttf");
    internal static readonly SKTypeface Bold = Load("HankenGrotesk_700Bold.ttf");

    private static readonly HankenMeasure Measure = new();

    private readonly SKDocument _document;
    private readonly float _pageWidth;
    private readonly float _pageHeight;
    private readonly float _margin;
    private readonly SKPaint _ink = new() { Color = new SKColor(0x1d, 0x2a, 0x3a), IsAntialias = true };
    private SKCanvas _canvas;
    private float _y;

    internal PdfPen(SKDocument document, float pageWidth, float pageHeight, float margin)
    {
        (_document, _pageWidth, _pageHeight, _margin) = (document, pageWidth, pageHeight, margin);
        _canvas = document.BeginPage(pageWidth, pageHeight);
        _y = margin;
    }

    internal void Write(string text, float size, bool bold = false, float indent = 0)
    {
        using var font = new SKFont(bold ? Bold : Regular, size);
        var room = _pageWidth - (2 * _margin) - indent;
        foreach (var line in new TextLines(size, bold, Measure).Broken(text, room))
        {
            if (_y + (size * 1.4f) > _pageHeight - _margin)
            {
                _document.EndPage();
                _canvas = _document.BeginPage(_pageWidth, _pageHeight);
                _y = _margin;
            }
            _y += size * 1.4f;
            _canvas.DrawText(line, _margin + indent, _y, SKTextAlign.Left, font, _ink);
        }
    }

    internal void Space(float height) => _y += height;

    internal void Finish() => _document.EndPage();

    public void Dispose() => _ink.Dispose();

    private static SKTypeface Load(string name)
    {
        using var stream =
            Assembly.GetExecutingAssembly().GetManifestResourceStream(name)
            ?? throw new InvalidOperationException($"The font {name} is missing from the build.");
        return SKTypeface.FromStream(stream);
    }
}
