using SkiaSharp;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Files.CutFiles;

/// <summary>Keeps pointed ends of shapes in pictures.</summary>
internal static class PngTips
{
    /// <summary>Pixels along each edge of a tip that are drawn.</summary>
    private const double Reach = 40;

    /// <summary>A pointed tip is narrower than a pixel at its end and would be lost: where the outermost place of an edge has no
    /// pixel of its shape near it, and at corners, the last pixels are drawn along the edges, black on a shape, white in a hole.</summary>
    internal static void Draw(SKCanvas canvas, CutPage page, SKBitmap bitmap, double scale)
    {
        using var paint = new SKPaint();
        paint.Style = SKPaintStyle.Stroke;
        paint.StrokeWidth = 0;
        paint.IsAntialias = false;
        foreach (var line in page.Of(CutRole.Cut).Where(path => path.Part is not null))
        {
            var ring = new Contour(line.Curves).Flatten();
            paint.Color = line.IsHole ? SKColors.White : SKColors.Black;
            var places = Enumerable.Range(0, ring.Points.Length).ToList();
            int[] outermost =
            [
                places.MinBy(i => ring.Points[i].X),
                places.MaxBy(i => ring.Points[i].X),
                places.MinBy(i => ring.Points[i].Y),
                places.MaxBy(i => ring.Points[i].Y),
            ];
            var lost = outermost.Where(i => !IsDrawn(bitmap, ring.Points[i], scale, line.IsHole));
            foreach (var tip in lost.Select(i => (i, Reach)).Concat(ring.Corners().Select(i => (i, Reach / 4))))
            {
                Along(canvas, paint, ring, tip.i, 1, tip.Item2 / scale);
                Along(canvas, paint, ring, tip.i, ring.Points.Length - 1, tip.Item2 / scale);
            }
        }
    }

    /// <summary>True when the pixel of a place is of its shape (or its hole), or one beside it is.</summary>
    private static bool IsDrawn(SKBitmap bitmap, Point place, double scale, bool white)
    {
        const byte Half = 128;
        var (x, y) = ((int)(place.X * scale), (int)(place.Y * scale));
        foreach (var (dx, dy) in new[] { (0, 0), (1, 0), (-1, 0), (0, 1), (0, -1) })
        {
            var (atX, atY) = (Math.Clamp(x + dx, 0, bitmap.Width - 1), Math.Clamp(y + dy, 0, bitmap.Height - 1));
            if (bitmap.GetPixel(atX, atY).Red >= Half == white)
            {
                // White beside the edge of a hole may be its outside's: only its own pixel counts there.
                return !white || (dx == 0 && dy == 0);
            }
        }
        return false;
    }

    /// <summary>Draws along a ring from one of its points, so far, mm.</summary>
    private static void Along(SKCanvas canvas, SKPaint paint, Ring ring, int from, int way, double reach)
    {
        var count = ring.Points.Length;
        for (var (i, left) = (from, reach); left > 0; )
        {
            var next = (i + way) % count;
            var (a, b) = (ring.Points[i], ring.Points[next]);
            var length = a.DistanceTo(b);
            var to = length <= left ? b : Point.Lerp(a, b, left / length);
            canvas.DrawLine(At(a), At(to), paint);
            (i, left) = (next, left - Math.Max(length, 1e-6));
        }
    }

    private static SKPoint At(Point p) => new((float)p.X, (float)p.Y);
}
