using System.Globalization;
using SkiaSharp;
using Ullet.Core.Cutting;
using Ullet.Core.Evaluation;
using Ullet.Core.Projects;

namespace Ullet.Files.Instructions;

/// <summary>The sizes of everything that is cut, in each way in which a cutting program may show them, as PDF on A4.</summary>
public static class SizeCardSheet
{
    private const float Small = 10;

    public static byte[] Pdf(Evaluated evaluated)
    {
        using var stream = new MemoryStream();
        using (var document = SKDocument.CreatePdf(stream))
        {
            using var pen = new PdfPen(document, 595, 842, 48);
            pen.Write($"Size card: {evaluated.Project.Title}", 18, bold: true);
            pen.Space(4);
            pen.Write(
                "A cutting program may read a file at another scale. Find what yours shows, and type the number that stands beside it: "
                    + "it is rounded up, never down.",
                Small
            );
            foreach (var sheet in evaluated.Sheets)
            {
                pen.Space(10);
                var number = sheet.Count > 1 ? $", sheet {sheet.Number} of {sheet.Count}" : "";
                var mirrored = sheet.Setup.MirrorReason is { } why ? $" (mirrored already: {why})" : "";
                pen.Write($"{sheet.Cloth.Name}{number}{mirrored}", 13, bold: true);
                if (sheet.Shapes.Length > 1)
                {
                    Row(pen, "all of it as it lies", SizeReading.Of(sheet.Bounds()));
                }
                foreach (var placed in sheet.Shapes.Where(placed => placed.Copy == 0))
                {
                    Row(pen, placed.Shape.Name, SizeReading.Of(placed.Outline.Bounds()));
                }
            }
            pen.Finish();
            document.Close();
        }
        return stream.ToArray();
    }

    private static void Row(PdfPen pen, string name, SizeReading size)
    {
        pen.Space(4);
        pen.Write($"{name}: {Mm(size.Width)} × {Mm(size.Height)} mm", 11, bold: true);
        pen.Write(
            $"{Inches(size.Width)} × {Inches(size.Height)} in, with sixteenths {LengthText.Sixteenths(size.Width)} × {LengthText.Sixteenths(size.Height)}",
            Small,
            indent: 14
        );
        var shown = SizeReading.PerInch.Select(perInch =>
            $"{Mm(size.ShownAt(perInch))} ({perInch.ToString("0", CultureInfo.InvariantCulture)} per inch)"
        );
        pen.Write(
            $"Width shown: {string.Join(", ", shown)} or {Mm(size.ShownInTenths)} mm (tenths). Type {size.Typed}.",
            Small,
            indent: 14
        );
    }

    private static string Mm(double mm) => mm.ToString("0.0", CultureInfo.InvariantCulture);

    private static string Inches(double mm) =>
        (mm / LengthText.MmPerInch).ToString("0.00", CultureInfo.InvariantCulture);
}
