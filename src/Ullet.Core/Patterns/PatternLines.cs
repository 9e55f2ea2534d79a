using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Patterns;

/// <summary>Draws the lines, boxes and areas that patterns are made of, mm from the field's centre.</summary>
internal static class PatternLines
{
    /// <summary>Control points of a quarter circle lie this share of the radius along its tangents.</summary>
    private const double Quarter = 0.5522847498;

    /// <summary>Seams on woven cloth are sewn in short stitches, twice over, mm.</summary>
    internal static readonly LineSettings Seam = new() { StitchLength = 2.3, Passes = 2 };

    /// <summary>A line that holds something down.</summary>
    internal static readonly LineSettings Hold = new() { Passes = 2 };

    /// <summary>A line that shows where something goes.</summary>
    internal static readonly LineSettings Mark = new();

    /// <summary>An element that sews one or more lines.</summary>
    internal static Element Line(
        PatternPart part,
        string name,
        string purpose,
        LineSettings stitching,
        params ImmutableArray<ImmutableArray<Curve>> lines
    )
    {
        var box = lines.SelectMany(line => line).Aggregate(Box.Empty, (all, curve) => all.Union(curve.Bounds()));
        return new Element
        {
            Id = part.ElementId,
            PatternPart = part.Name,
            Name = name,
            IsLocked = true,
            Box = new ElementBox(box.Centre.X, box.Centre.Y, box.Width, box.Height, 0),
            Form = new DrawingForm(
                DrawnElements.ShapeOf(new Outline([]) { Lines = [.. lines.Select(line => new OpenPath(line))] })
            ),
            Making = new LineMaking { Purpose = purpose, Stitching = stitching },
        };
    }

    internal static ImmutableArray<Curve> Straight(double x1, double y1, double x2, double y2) =>
        [Curve.Line(new Point(x1, y1), new Point(x2, y2))];

    /// <summary>A rectangle with round corners, from the middle of its lower side clockwise on screen back to it; open there by
    /// a gap.</summary>
    internal static ImmutableArray<Curve> Round(Box box, double radius, double gap = 0)
    {
        radius = Math.Min(radius, Math.Min(box.Width, box.Height) / 2);
        var pen = new Pen(new Point(box.Centre.X - (gap / 2), box.MaxY));
        pen.To(box.MinX + radius, box.MaxY).Corner(box.MinX, box.MaxY, box.MinX, box.MaxY - radius);
        pen.To(box.MinX, box.MinY + radius).Corner(box.MinX, box.MinY, box.MinX + radius, box.MinY);
        pen.To(box.MaxX - radius, box.MinY).Corner(box.MaxX, box.MinY, box.MaxX, box.MinY + radius);
        pen.To(box.MaxX, box.MaxY - radius).Corner(box.MaxX, box.MaxY, box.MaxX - radius, box.MaxY);
        return pen.To(box.Centre.X + (gap / 2), box.MaxY).Curves();
    }

    /// <summary>The area of a box.</summary>
    internal static ImmutableArray<Region> Area(Box box) => box.Area();

    private sealed class Pen(Point at)
    {
        private readonly List<Curve> _curves = [];
        private Point _at = at;

        internal Pen To(double x, double y)
        {
            var to = new Point(x, y);
            if (to.DistanceTo(_at) > Tolerance.Same)
            {
                _curves.Add(Curve.Line(_at, to));
                _at = to;
            }
            return this;
        }

        /// <summary>A quarter circle about a corner to a place.</summary>
        internal Pen Corner(double cornerX, double cornerY, double x, double y)
        {
            var (corner, to) = (new Point(cornerX, cornerY), new Point(x, y));
            if (to.DistanceTo(_at) > Tolerance.Same)
            {
                _curves.Add(Curve.Cubic(_at, Point.Lerp(_at, corner, Quarter), Point.Lerp(to, corner, Quarter), to));
                _at = to;
            }
            return this;
        }

        internal ImmutableArray<Curve> Curves() => [.. _curves];
    }
}
