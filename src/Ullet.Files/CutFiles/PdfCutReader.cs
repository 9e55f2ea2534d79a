using System.Collections.Immutable;
using System.Text;
using UglyToad.PdfPig;
using UglyToad.PdfPig.Content;
using UglyToad.PdfPig.Core;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Files.CutFiles;

/// <summary>A page of a PDF with the lines that are stroked on it.</summary>
/// <param name="Width">mm.</param>
/// <param name="Height">mm.</param>
/// <param name="Lines">Each stroked line, mm from the page's top left, with its width in points.</param>
public sealed record PdfCutPage(double Width, double Height, ImmutableArray<PdfStroke> Lines);

/// <summary>A stroked line.</summary>
public sealed record PdfStroke(Contour Contour, bool IsClosed, double Width);

/// <summary>Reads the stroked lines of PDFs back, with a reader of PDF that is not ours.</summary>
public static class PdfCutReader
{
    private const double MmPerPoint = 1 / EpsCutWriter.PointsPerMm;

    /// <returns>The pages, or "cut-file-…" with a sentence.</returns>
    public static Result<ImmutableArray<PdfCutPage>> Read(byte[] file)
    {
        if (
            !file.AsSpan().StartsWith("%PDF"u8)
            || !Encoding.Latin1.GetString(file).TrimEnd().EndsWith("%%EOF", StringComparison.Ordinal)
        )
        {
            return Broken();
        }
        try
        {
            using var document = PdfDocument.Open(file);
            return document.GetPages().Select(Read).ToImmutableArray();
        }
        catch (Exception wrong)
            when (wrong
                    is PdfDocumentFormatException
                        or InvalidOperationException
                        or InvalidDataException
                        or ArgumentException
            )
        {
            return Broken();
        }
    }

    private static Refusal Broken() => new("cut-file-broken", "file", "This file is not a whole PDF.");

    private static PdfCutPage Read(Page page) =>
        new(
            page.Width * MmPerPoint,
            page.Height * MmPerPoint,
            [
                .. page
                    .Paths.Where(path => path.IsStroked)
                    .SelectMany(path => path.Select(part => Stroke(part, path.LineWidth, page.Height)))
                    .OfType<PdfStroke>(),
            ]
        );

    /// <summary>One line of a path; null where it has no length.</summary>
    private static PdfStroke? Stroke(PdfSubpath part, double width, double pageHeight)
    {
        Point Mm(PdfPoint at) => new(at.X * MmPerPoint, (pageHeight - at.Y) * MmPerPoint);
        var curves = new List<Curve>();
        var isClosed = part.IsClosed();
        foreach (var command in part.Commands)
        {
            switch (command)
            {
                case PdfSubpath.Line line:
                    curves.Add(Curve.Line(Mm(line.From), Mm(line.To)));
                    break;
                case PdfSubpath.CubicBezierCurve curve:
                    curves.Add(
                        Curve.Cubic(
                            Mm(curve.StartPoint),
                            Mm(curve.FirstControlPoint),
                            Mm(curve.SecondControlPoint),
                            Mm(curve.EndPoint)
                        )
                    );
                    break;
                case PdfSubpath.Close
                    when curves.Count > 0 && curves[^1].End.DistanceTo(curves[0].Start) > Tolerance.Same:
                    curves.Add(Curve.Line(curves[^1].End, curves[0].Start));
                    break;
            }
        }
        return curves.Count == 0 ? null : new PdfStroke(new Contour([.. curves]), isClosed, width);
    }
}
