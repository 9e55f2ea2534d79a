using SkiaSharp;
using Ullet.Core.Cutting;
using Ullet.Core.Evaluation;
using Ullet.Core.Patterns;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Timing;
using Ullet.Files.Pictures;

namespace Ullet.Files.Instructions;

/// <summary>The sheet for the hands: what to cut, then every step in order, as PDF on A4.</summary>
public static class InstructionSheet
{
    private const float PageWidth = 595;
    private const float PageHeight = 842;
    private const float Margin = 48;
    private const float PictureSide = 150;

    /// <summary>The sheet as PDF.</summary>
    public static byte[] Pdf(Evaluated evaluated, IReadOnlyDictionary<string, byte[]>? photos = null)
    {
        using var stream = new MemoryStream();
        using (var document = SKDocument.CreatePdf(stream))
        {
            using var pen = new PdfPen(document, PageWidth, PageHeight, Margin);
            Head(pen, evaluated, photos);
            Cautions(pen, evaluated.Program);
            Cuts(pen, evaluated);
            // What is marked in other hoopings is needed before the first one begins.
            foreach (var other in evaluated.Hoopings.Skip(1))
            {
                Steps(pen, other.Name + ", in a hooping of its own", other.Program);
                pen.Space(14);
            }
            Steps(pen, "Step by step", evaluated.Program);
            pen.Finish();
            document.Close();
        }
        return stream.ToArray();
    }

    private static void Head(PdfPen pen, Evaluated evaluated, IReadOnlyDictionary<string, byte[]>? photos)
    {
        var (project, program) = (evaluated.Project, evaluated.Program);
        var hoop = project.Hooping.Hoop;
        var scale = (float)(PictureSide / Math.Max(hoop.FieldWidth, hoop.FieldHeight));
        pen.Picture(
            canvas =>
            {
                canvas.Scale(scale);
                canvas.ClipRect(new SKRect(0, 0, (float)hoop.FieldWidth, (float)hoop.FieldHeight));
                canvas.Translate((float)hoop.FieldWidth / 2, (float)hoop.FieldHeight / 2);
                using var picture = SKImage.FromEncodedData(ProjectPicture.Png(evaluated, 600, photos: photos));
                canvas.DrawImage(
                    picture,
                    SKRect.Create(
                        -(float)hoop.FieldWidth / 2,
                        -(float)hoop.FieldHeight / 2,
                        (float)hoop.FieldWidth,
                        (float)hoop.FieldHeight
                    ),
                    new SKSamplingOptions(SKCubicResampler.Mitchell)
                );
                Numbers(canvas, program, scale);
            },
            PageWidth - Margin - ((float)hoop.FieldWidth * scale),
            Margin
        );
        pen.Write(project.Title, 20, bold: true, width: 320);
        pen.Space(6);
        var minutes = Math.Ceiling(StepTimes.Of(program).Sum() / 60);
        pen.Write($"Hoop: sewing field {hoop.Name} mm", 10.5f, width: 320);
        pen.Write(
            $"{program.StitchCount} stitches, {program.StopCount} stops, about {minutes:0} minutes",
            10.5f,
            width: 320
        );
        var threads = string.Join(", ", program.Threads.Select(thread => $"{thread.Number} {thread.Name}"));
        pen.Write($"Threads: {threads}", 10.5f, width: 320);
        pen.DownTo(Margin + PictureSide + 24);
    }

    /// <summary>The numbers of equal pieces, so that hands find them.</summary>
    private static void Numbers(SKCanvas canvas, StitchProgram program, float scale)
    {
        using var font = new SKFont(PdfPen.Bold, 7.5f / scale);
        using var ground = new SKPaint { Color = SKColors.White, IsAntialias = true };
        using var ink = new SKPaint { Color = SKColors.Black, IsAntialias = true };
        foreach (
            var place in EqualSteps.Of(program).SelectMany(group => group.Places).DistinctBy(place => place.Number)
        )
        {
            var (x, y) = ((float)place.At.X, (float)place.At.Y);
            canvas.DrawCircle(x, y, 5.5f / scale, ground);
            canvas.DrawText($"{place.Number}", x, y + (2.7f / scale), SKTextAlign.Center, font, ink);
        }
    }

    /// <summary>What stood against this export, which was made all the same.</summary>
    private static void Cautions(PdfPen pen, StitchProgram program)
    {
        foreach (var caution in program.Cautions)
        {
            pen.Write($"Made against a check: {caution}", 11, bold: true);
        }
        pen.Space(program.Cautions.IsEmpty ? 0 : 10);
    }

    private static void Cuts(PdfPen pen, Evaluated evaluated)
    {
        pen.Write("Cut first", 13, bold: true);
        foreach (var need in PatternShelf.PlanOf(evaluated.Project)?.Cloths ?? [])
        {
            var cloth = evaluated.Project.FindCloth(need.Cloth.Id) ?? need.Cloth;
            var size =
                need.Width > 0
                    ? $", {(need.Count > 1 ? $"{need.Count} of " : "")}at least {LengthText.AtLeast(need.Width, need.Height)}"
                    : "";
            var advice = need.Advice is { } more ? $" ({more})" : "";
            pen.Write($"{cloth.Name}: {need.Use}{size}{advice}", 10.5f);
        }
        foreach (var sheet in evaluated.Sheets)
        {
            var mirrored = sheet.Setup.MirrorReason is { } why ? $", cut mirrored ({why})" : "";
            foreach (var shape in sheet.Shapes.Where(Listed).Select(placed => placed.Shape))
            {
                var box = shape.Bounds();
                var what = shape.IsTemplate ? "a rough piece of at least" : "cut to size,";
                pen.Write(
                    $"{sheet.Cloth.Name}: {shape.Name}, {what} {LengthText.AtLeast(box.Width, box.Height)}{mirrored}",
                    10.5f
                );
            }
        }
        foreach (var advice in PatternShelf.PlanOf(evaluated.Project)?.Advice ?? [])
        {
            pen.Write(advice, 10.5f);
        }
        pen.Space(14);
    }

    /// <summary>Each shape once; the layers of a pattern stand above with what they become.</summary>
    private static bool Listed(PlacedShape placed) => placed.Copy == 0 && placed.Shape.Kind != CutKind.Layer;

    private static void Steps(PdfPen pen, string title, StitchProgram program)
    {
        pen.Write(title, 13, bold: true);
        var groups = EqualSteps.Of(program).ToDictionary(group => group.First);
        for (var i = 0; i < program.Steps.Length; i++)
        {
            var step = program.Steps[i];
            var (number, group) = (i + 1, groups.GetValueOrDefault(i));
            if (step is ProgramHands hands)
            {
                i += (group?.Count ?? 1) - 1;
                pen.Space(4);
                pen.Write(
                    group is null ? $"{number}. {hands.Text}" : $"{number} to {number + group.Count - 1}. {group.Text}",
                    11,
                    bold: true
                );
                if (hands.Warning is { } warning)
                {
                    pen.Write(warning, 10.5f, bold: true, indent: 18);
                }
                if (hands.Check is { } check)
                {
                    pen.Write($"Check: {check}", 10.5f, indent: 18);
                }
                if (hands.Note is { } note)
                {
                    pen.Write($"Note: {note}", 10.5f, indent: 18);
                }
            }
            else if (step is ProgramStitches stitches)
            {
                var thread = program.Threads[stitches.Thread - 1].Name;
                var stop = stitches.StopAfter ? " Then the machine stops." : "";
                pen.Write(
                    $"{number}. The machine sews the {stitches.Role} of {stitches.OwnerName} with {thread} (block {stitches.Block}).{stop}",
                    10.5f
                );
            }
        }
    }
}
