using System.Diagnostics;
using System.Globalization;
using StbImageSharp;
using Ullet.Core.Cutting;
using Ullet.Core.Geometry;
using Ullet.Files.CutFiles;

namespace Ullet.Files.Tests.CutFiles;

/// <summary>Cut files in readers of Debian's that are not ours: rsvg-convert, Ghostscript, pdfinfo, ezdxf. "./ullet test"
/// installs them.</summary>
public sealed class OtherReadersTests : IDisposable
{
    private const double MmPerPoint = 25.4 / 72;

    private readonly string _folder = Directory.CreateTempSubdirectory("ullet-readers").FullName;

    public static TheoryData<string> Titles => ["Plot 14 pennant", "Shed-key tab", "Tea-break mug rug"];

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    [Theory]
    [MemberData(nameof(Titles))]
    public void Svg_InAnotherReader_HasItsSize(string title)
    {
        foreach (var sheet in DemoWork.All[title].Sheets)
        {
            var file = Keep(CutFormat.Svg, sheet, "svg");
            const int Dpi = 300;
            var picture = Path.Combine(_folder, "sheet.png");
            Run("rsvg-convert", "-d", $"{Dpi}", "-p", $"{Dpi}", "-b", "white", "-o", picture, file);
            var image = ImageResult.FromMemory(File.ReadAllBytes(picture), ColorComponents.Grey);
            // The unit of lengths is 1/96 in for this reader: the page has its size in pixels of that.
            var perMm = image.Width / sheet.MatWidth;
            var dark = Enumerable
                .Range(0, image.Data.Length)
                .Where(i => image.Data[i] < 240)
                .Select(i => (X: i % image.Width, Y: i / image.Width))
                .ToList();
            var box = sheet.Bounds();
            Assert.Equal(box.Width, (dark.Max(at => at.X) - dark.Min(at => at.X)) / perMm, 2 / perMm);
            Assert.Equal(box.Height, (dark.Max(at => at.Y) - dark.Min(at => at.Y)) / perMm, 2 / perMm);
        }
    }

    [Theory]
    [MemberData(nameof(Titles))]
    public void EpsAndPdf_InAnotherReader_HaveTheirSize(string title)
    {
        foreach (var sheet in DemoWork.All[title].Sheets)
        {
            var box = sheet.Bounds();
            var eps = BoundsOf(Keep(CutFormat.Eps, sheet, "eps"));
            // Half a hairline stands out on each side.
            Assert.Equal(box.Width, (eps.Width - 0.1) * MmPerPoint, 0.05);
            Assert.Equal(box.Height, (eps.Height - 0.1) * MmPerPoint, 0.05);
            Assert.Equal(box.MinX, eps.MinX * MmPerPoint, 0.05);
            var pdf = Keep(new CutFileWish(CutFormat.Pdf, Paper.Sheet), sheet, "pdf");
            var drawn = BoundsOf(pdf);
            Assert.Equal(box.Width, (drawn.Width - 0.5) * MmPerPoint, 0.05);
            Assert.Equal(box.Height, (drawn.Height - 0.5) * MmPerPoint, 0.05);
            Assert.Contains("865 x 865", Run("pdfinfo", pdf), StringComparison.Ordinal);
            Assert.Contains("(A4)", Run("pdfinfo", Keep(CutFormat.Pdf, sheet, "pdf")), StringComparison.Ordinal);
        }
    }

    [Theory]
    [MemberData(nameof(Titles))]
    public void Dxf_InAnotherReader_HasItsSizeUnitsAndLayers(string title)
    {
        const string Script =
            "import sys, ezdxf; from ezdxf import path\n"
            + "d = ezdxf.readfile(sys.argv[1]); m = d.modelspace()\n"
            + "v = [p for e in m for p in path.make_path(e).flattening(0.001)]\n"
            + "xs = [p.x for p in v]; ys = [p.y for p in v]\n"
            + "print(max(xs) - min(xs), max(ys) - min(ys), d.header['$INSUNITS'], len(m), len(d.audit().errors))\n"
            + "print(' '.join(sorted({e.dxf.layer for e in m})))";
        foreach (var sheet in DemoWork.All[title].Sheets)
        {
            var lines = Run("/usr/bin/python3", "-c", Script, Keep(CutFormat.Dxf, sheet, "dxf")).Split('\n');
            var numbers = lines[0].Split(' ').Select(n => double.Parse(n, CultureInfo.InvariantCulture)).ToArray();
            var box = sheet.Bounds();
            Assert.Equal(box.Width, numbers[0], 0.05);
            Assert.Equal(box.Height, numbers[1], 0.05);
            Assert.Equal((4, 0), (numbers[2], numbers[4]));
            Assert.Equal(sheet.Shapes.Sum(placed => placed.Outline.Contours.Count()), numbers[3]);
            Assert.EndsWith("-CUT", lines[1].Trim(), StringComparison.Ordinal);
        }
    }

    private string Keep(CutFormat format, CutSheet sheet, string ending) =>
        Keep(new CutFileWish(format), sheet, ending);

    private string Keep(CutFileWish wish, CutSheet sheet, string ending)
    {
        var path = Path.Combine(_folder, $"sheet.{ending}");
        File.WriteAllBytes(path, Made.File(wish, sheet));
        return path;
    }

    /// <summary>The exact box of what a page draws, points.</summary>
    private static Box BoundsOf(string file)
    {
        var said = Run("gs", "-q", "-dBATCH", "-dNOPAUSE", "-dSAFER", "-sDEVICE=bbox", file);
        var line = said.Split('\n').First(each => each.StartsWith("%%HiResBoundingBox:", StringComparison.Ordinal));
        var numbers = line.Split(' ').Skip(1).Select(n => double.Parse(n, CultureInfo.InvariantCulture)).ToArray();
        return new Box(numbers[0], numbers[1], numbers[2], numbers[3]);
    }

    private static string Run(string program, params string[] arguments)
    {
        var start = new ProcessStartInfo(program, arguments)
        {
            UseShellExecute = false,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        };
        using var process = Process.Start(start)!;
        var errors = process.StandardError.ReadToEndAsync();
        var said = process.StandardOutput.ReadToEnd() + errors.Result;
        process.WaitForExit();
        Assert.True(process.ExitCode == 0, $"{program}: {said}");
        return said;
    }
}
