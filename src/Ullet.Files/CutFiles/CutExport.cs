using Ullet.Core.Cutting;
using Ullet.Core.Geometry;

namespace Ullet.Files.CutFiles;

/// <summary>Writes cut files and reads them back, both ways a reader may take the size, before they are handed out.</summary>
public static class CutExport
{
    /// <summary>Sizes must come back within this, mm.</summary>
    public const double SizeTolerance = 0.05;

    /// <summary>A whole sheet as SVG.</summary>
    /// <exception cref="InvalidOperationException">When a size does not come back: a fault of ours.</exception>
    public static byte[] Sheet(CutSheet sheet) =>
        Checked(SvgCutWriter.Sheet(sheet), sheet.Shapes.Select(p => p.Outline));

    /// <summary>One shape as SVG.</summary>
    /// <exception cref="InvalidOperationException">When its size does not come back: a fault of ours.</exception>
    public static byte[] Alone(CutSheet sheet, PlacedShape placed) =>
        Checked(SvgCutWriter.Alone(sheet, placed), [placed.Outline]);

    private static byte[] Checked(byte[] file, IEnumerable<Outline> outlines)
    {
        var wanted = outlines
            .SelectMany(outline => outline.Parts)
            .SelectMany(part => part.Holes.Append(part.Shell))
            .Select(contour => contour.Bounds())
            .ToList();
        foreach (var sizing in Enum.GetValues<SvgSizing>())
        {
            var read = SvgCutReader.Read(file, sizing);
            if (!read.IsOk)
            {
                throw new InvalidOperationException($"The cut file can't be read back: {read.Refusal!.Words}");
            }
            var found = read.Value.Lines.Select(line => line.Contour.Bounds()).ToList();
            if (found.Count != wanted.Count || found.Zip(wanted).Any(pair => Differs(pair.First, pair.Second)))
            {
                throw new InvalidOperationException("A shape of the cut file has another size when it is read back.");
            }
        }
        return file;
    }

    private static bool Differs(Box found, Box wanted) =>
        Math.Abs(found.Width - wanted.Width) > SizeTolerance || Math.Abs(found.Height - wanted.Height) > SizeTolerance;
}
