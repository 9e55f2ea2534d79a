using SkiaSharp;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Program;

namespace Ullet.Files.Pictures;

/// <summary>What a picture shows of the ground.</summary>
public enum PictureFrame
{
    /// <summary>The whole sewing field.</summary>
    Field,

    /// <summary>The design with a hand's breadth of ground round it.</summary>
    Design,
}

/// <summary>Draws a project as it will look when it is finished: cloths, thread and their shadows, seen from above.</summary>
public static class ProjectPicture
{
    public const int LeastSize = 64;

    public const int MostSize = 4000;

    /// <summary>Ground shown round the design, mm.</summary>
    private const double Margin = 14;

    /// <summary>The picture as PNG.</summary>
    /// <param name="evaluated">What is drawn.</param>
    /// <param name="size">Longer side of the picture, pixels; <see cref="LeastSize"/> to <see cref="MostSize"/>.</param>
    /// <param name="frame">How much of the ground is shown; the field when there is no design.</param>
    /// <param name="photos">Photos of cloths, by asset; a cloth whose photo is not among them is drawn by colour and texture.</param>
    public static byte[] Png(
        Evaluated evaluated,
        int size,
        PictureFrame frame = PictureFrame.Field,
        IReadOnlyDictionary<string, byte[]>? photos = null
    )
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(size, LeastSize);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(size, MostSize);
        var hoop = evaluated.Project.Hooping.Hoop;
        var design = evaluated.DesignBounds();
        var shown =
            frame == PictureFrame.Field || design.IsEmpty
                ? Box.Centred(hoop.FieldWidth, hoop.FieldHeight)
                : design.Grown(Margin);
        var scale = size / Math.Max(shown.Width, shown.Height);
        var (width, height) = (
            Math.Max(1, (int)Math.Round(shown.Width * scale)),
            Math.Max(1, (int)Math.Round(shown.Height * scale))
        );
        using var bitmap = new SKBitmap(width, height);
        using (var canvas = new SKCanvas(bitmap))
        using (var cloths = new ClothPaint(photos))
        {
            canvas.Scale((float)scale);
            canvas.Translate((float)-shown.MinX, (float)-shown.MinY);
            Draw(canvas, evaluated, cloths);
        }
        using var data = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        return data.ToArray();
    }

    /// <summary>Draws on a canvas whose unit is a mm and whose origin is the field's centre.</summary>
    private static void Draw(SKCanvas canvas, Evaluated evaluated, ClothPaint cloths)
    {
        var project = evaluated.Project;
        cloths.Fill(canvas, project.FindCloth(project.Hooping.TopClothId)!);
        foreach (var layer in evaluated.Base)
        {
            using var path = PathOf(layer.Area);
            cloths.Lay(canvas, path, layer.Cloth);
        }
        foreach (var element in project.Elements.Where(element => !element.Making.IsTakenOut))
        {
            var steps = evaluated
                .Program.Steps.OfType<ProgramStitches>()
                .Where(step => step.Key.OwnerId == element.Id)
                .ToList();
            foreach (var work in evaluated.PiecesOf(element.Id))
            {
                using var path = PathOf(work.Outline.Flatten(0.02));
                cloths.Lay(canvas, path, work.Cloth);
                foreach (var step in steps.Where(step => step.Key.Ordinal == work.Part.Ordinal))
                {
                    ThreadPaint.Draw(canvas, step, evaluated.Program.Threads[step.Thread - 1]);
                }
            }
            if (!evaluated.PiecesOf(element.Id).Any())
            {
                foreach (var step in steps)
                {
                    ThreadPaint.Draw(canvas, step, evaluated.Program.Threads[step.Thread - 1]);
                }
            }
        }
    }

    private static SKPath PathOf(IEnumerable<Region> regions)
    {
        var path = new SKPath { FillType = SKPathFillType.EvenOdd };
        foreach (var ring in regions.SelectMany(region => region.Rings))
        {
            path.AddPoly([.. ring.Points.Select(p => new SKPoint((float)p.X, (float)p.Y))], close: true);
        }
        return path;
    }
}
