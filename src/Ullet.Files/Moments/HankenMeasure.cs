using SkiaSharp;
using Ullet.Core.Moments;
using Ullet.Files.Instructions;

namespace Ullet.Files.Moments;

/// <summary>How wide text is in the font of booklets, cards and rooms.</summary>
public sealed class HankenMeasure : ITextMeasure
{
    /// <summary>Widths are measured at this size and scaled: text is as wide on every page.</summary>
    private const float Size = 100;

    public double Width(string text, double size, bool isBold)
    {
        using var font = new SKFont(isBold ? PdfPen.Bold : PdfPen.Regular, Size);
        return font.MeasureText(text) * size / Size;
    }
}
