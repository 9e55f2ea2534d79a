using SkiaSharp;
using Ullet.Core.Booklets;
using Ullet.Core.Geometry;

namespace Ullet.Files.Booklets;

/// <summary>A row of what is cut first: its form to scale, then what it is.</summary>
/// <param name="Row">The row.</param>
/// <param name="Scale">Points to the mm, the same for all rows.</param>
internal sealed record CutTablePart(CutRow Row, float Scale) : BookletPart
{
    /// <summary>The widest and highest drawing.</summary>
    internal const float Side = 62;

    private const float Gap = 12;

    internal override float Height(BookletLook look) =>
        Math.Max(Drawn.Height + 6, Texts(look).Sum(part => part.Height(look))) + 8;

    private (float Width, float Height) Drawn =>
        Row.Rings.IsEmpty ? (0, 12) : ((float)Row.Width * Scale, (float)Row.Height * Scale);

    internal override void Draw(SKCanvas canvas, float x, float y, BookletLook look)
    {
        using var line = new SKPaint
        {
            Color = BookletPages.InkColour,
            IsAntialias = true,
            IsStroke = true,
            StrokeWidth = 1,
        };
        using var fill = new SKPaint { Color = Pale(Row.Colour), IsAntialias = true };
        using var path = new SKPath { FillType = SKPathFillType.EvenOdd };
        foreach (var ring in Row.Rings)
        {
            path.AddPoly([.. ring.Select(at => Placed(at, x, y))], true);
        }
        canvas.DrawPath(path, fill);
        canvas.DrawPath(path, line);
        var top = y;
        foreach (var part in Texts(look))
        {
            part.Draw(canvas, x + Side + Gap, top, look);
            top += part.Height(look);
        }
        using var thin = new SKPaint { Color = new SKColor(0xc5, 0xcd, 0xd6), StrokeWidth = 0.6f };
        var bottom = y + Height(look) - 3;
        canvas.DrawLine(x, bottom, x + look.Room, bottom, thin);
    }

    private SKPoint Placed(Point at, float x, float y) =>
        new(x + (Side / 2) + ((float)at.X * Scale), y + 3 + (Drawn.Height / 2) + ((float)at.Y * Scale));

    private IEnumerable<TextPart> Texts(BookletLook look)
    {
        var room = look.Room - Side - Gap;
        yield return new TextPart($"{Row.Name}{(Row.Count > 1 ? $", {Row.Count} of them" : "")}: {Row.Size}", look.Body)
        {
            IsBold = true,
            Room = room,
        };
        var facts = new[]
        {
            Row.Cloth,
            Row.Grain,
            Row.Note,
            Row.File.Length > 0 ? $"cut file: {Row.File}" : "cut by hand",
        };
        yield return new TextPart(string.Join("; ", facts.Where(fact => fact.Length > 0)), look.Body * 0.92f)
        {
            IsQuiet = true,
            Room = room,
        };
    }

    private static SKColor Pale(string colour)
    {
        var own = SKColor.Parse(colour);
        byte Part(byte part) => (byte)(255 - ((255 - part) * 0.35));
        return new SKColor(Part(own.Red), Part(own.Green), Part(own.Blue));
    }
}
