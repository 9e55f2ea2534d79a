using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Moments;

/// <summary>Something drawn on a page: lines or text. Page units are points, 72 to the inch, y down.</summary>
public abstract record Ink;

/// <summary>How lines are drawn.</summary>
public sealed record InkStyle
{
    /// <summary>#rrggbb, or null for no filling.</summary>
    public string? Fill { get; init; }

    /// <summary>#rrggbb, or null for no stroke.</summary>
    public string? Stroke { get; init; }

    /// <summary>Width of the stroke, page units whatever the frame's scale.</summary>
    public double Width { get; init; } = 1;

    /// <summary>Drawn and left out by turns, page units; empty for a whole line.</summary>
    public ImmutableArray<double> Dash { get; init; } = [];
}

/// <summary>Polylines in one style.</summary>
/// <param name="Lines">Their places.</param>
/// <param name="IsClosed">True to join each end with its beginning.</param>
/// <param name="Style">How.</param>
public sealed record InkLines(ImmutableArray<ImmutableArray<Point>> Lines, bool IsClosed, InkStyle Style) : Ink;

/// <summary>Where a line of text stands about its place.</summary>
public enum InkAnchor
{
    Start,
    Middle,
    End,
}

/// <summary>A line of text.</summary>
/// <param name="Text">What it says.</param>
/// <param name="At">Its anchor on the base line.</param>
/// <param name="Size">Its size, page units.</param>
/// <param name="Anchor">Which end that is.</param>
/// <param name="IsBold">True for the bold cut.</param>
/// <param name="Colour">#rrggbb.</param>
public sealed record InkText(string Text, Point At, double Size, InkAnchor Anchor, bool IsBold, string Colour) : Ink
{
    /// <summary>What it takes on the page.</summary>
    public Box Bounds(ITextMeasure measure)
    {
        var width = measure.Width(Text, Size, IsBold);
        var left = Anchor switch
        {
            InkAnchor.Start => At.X,
            InkAnchor.Middle => At.X - (width / 2),
            InkAnchor.End => At.X - width,
            _ => throw new ArgumentOutOfRangeException(nameof(measure), Anchor, "no such anchor"),
        };
        return new Box(left, At.Y - (Size * 0.75), left + width, At.Y + (Size * 0.22));
    }
}

/// <summary>Lines in mm, in a window of the page.</summary>
/// <param name="Window">What is shown of them, page units.</param>
/// <param name="Scale">Page units to the mm.</param>
/// <param name="Origin">Where the field's centre lies on the page.</param>
/// <param name="IsMirrored">True to mirror left and right.</param>
/// <param name="Content">What is drawn, mm.</param>
public sealed record InkFrame(Box Window, double Scale, Point Origin, bool IsMirrored, ImmutableArray<InkLines> Content)
    : Ink
{
    /// <summary>A place in mm on the page.</summary>
    public Point OnPage(Point place) =>
        new(Origin.X + ((IsMirrored ? -place.X : place.X) * Scale), Origin.Y + (place.Y * Scale));
}

/// <summary>A drawing with everything on it.</summary>
/// <param name="Width">Page units.</param>
/// <param name="Height">Page units.</param>
/// <param name="Content">What is drawn, one over the other.</param>
/// <param name="Words">What it shows, for whoever can't see it.</param>
public sealed record InkSheet(double Width, double Height, ImmutableArray<Ink> Content, string Words);

/// <summary>How wide text is in the font that it will be set in.</summary>
public interface ITextMeasure
{
    /// <summary>Page units.</summary>
    double Width(string text, double size, bool isBold);
}
