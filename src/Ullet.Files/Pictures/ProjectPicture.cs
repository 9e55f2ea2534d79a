using SkiaSharp;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
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

    /// <summary>What finished work lies on.</summary>
    private static readonly SKColor Table = new(0xf4, 0xf1, 0xea);

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

    /// <summary>Draws on a canvas whose unit is a mm and whose origin is the field's centre: what is seen once the last step is done.</summary>
    private static void Draw(SKCanvas canvas, Evaluated evaluated, ClothPaint cloths)
    {
        var program = evaluated.Program;
        var sights = HoopSights.Of(program);
        if (sights.Steps.IsEmpty)
        {
            cloths.Fill(canvas, evaluated.Project.FindCloth(evaluated.Project.Hooping.TopClothId)!);
            return;
        }
        var sight = sights.Steps[^1];
        if (sight.IsOut)
        {
            canvas.Clear(Table);
        }
        if (sight.IsBack)
        {
            canvas.Scale(-1, 1);
        }
        if (!sight.Clip.IsEmpty)
        {
            using var clip = SkiaRegions.Path(sight.Clip);
            ClothPaint.Shadow(canvas, clip);
            canvas.ClipPath(clip, antialias: true);
        }
        foreach (var thing in sight.Things)
        {
            if (thing >= 0)
            {
                Lay(canvas, sights.Shapes[thing].Layer, sight.IsBack, cloths);
            }
            else if (program.Steps[-1 - thing] is ProgramStitches sewn)
            {
                ThreadPaint.Draw(canvas, sewn, program.Threads[sewn.Thread - 1]);
            }
        }
    }

    private static void Lay(SKCanvas canvas, PresentLayer layer, bool isBack, ClothPaint cloths)
    {
        using var path = SkiaRegions.Path(layer.Area);
        cloths.Lay(canvas, path, layer.Cloth, isFaceDown: layer.FaceUp == isBack);
        if (ZipLook.Of(layer) is { } zip)
        {
            ZipPaint.Draw(canvas, zip, layer.Cloth);
        }
    }
}
