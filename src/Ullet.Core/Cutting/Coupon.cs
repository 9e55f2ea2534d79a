using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Cutting;

/// <summary>A small test that is cut, laid and sewn: nested rings and bars with marked margins. What is read off it gives the
/// tolerances of a cloth, a method and a cutter.</summary>
public static class Coupon
{
    /// <summary>Width of the large ring, mm.</summary>
    public const double Ring = 50;

    /// <summary>Length of the bars, mm.</summary>
    public const double Bar = 80;

    /// <summary>Margin lines lie this far outside the bars, mm: clear of any cover.</summary>
    private const double MarginLine = 5;

    private const double Tick = 2;

    /// <summary>A project that tests one cloth.</summary>
    /// <param name="source">The project that the cloth is used in: its ground, stabiliser and threads are taken.</param>
    /// <param name="cloth">One of its cloths.</param>
    /// <param name="asked">How the pieces are applied; null for how the cloth is applied in the project, or cut beforehand.</param>
    public static Project Make(Project source, Cloth cloth, Method? asked = null)
    {
        var method =
            asked
            ?? source.Appliques().FirstOrDefault(piece => piece.ClothId == cloth.Id)?.Method
            ?? Method.CutBeforehand;
        var elements = ImmutableArray.CreateBuilder<Element>();
        elements.Add(Round("e1", "ring", 0, -52, Ring, hole: 30));
        elements.Add(Round("e2", "disc", 0, -52, 20, hole: 0));
        var (y, number) = (-6.0, 3);
        foreach (var height in new[] { 16.0, 12.0, 9.0 })
        {
            elements.Add(
                new Element
                {
                    Id = $"e{number}",
                    Name = $"bar {height:0} mm",
                    Form = new ShapeForm(new RectangleShape()),
                    Making = new ClothMaking { ClothId = cloth.Id, Method = method },
                    Box = new ElementBox(0, y, Bar, height, 0),
                }
            );
            elements.Add(Margins($"e{number + 1}", y, height));
            y += (height / 2) + 26;
            number += 2;
        }
        return new Project
        {
            Title = $"Coupon, {cloth.Name}",
            Unit = source.Unit,
            Cloths =
            [
                .. source.Cloths.Where(each =>
                    each.Id == cloth.Id
                    || each.Id == source.Hooping.GroundClothId
                    || each.Id == source.Hooping.StabiliserClothId
                ),
            ],
            Threads = source.Threads,
            Hoopings = [source.Hooping with { Hoop = Hoop.Catalogue[1], RunSheet = new RunSheetOverrides() }],
            Cut = source.Cut with { Cloths = [source.Cut.Of(cloth.Id) with { Places = [], Layout = null }] },
            Elements = elements.ToImmutable(),
            NextNumber = number,
        };

        Element Round(string id, string name, double x, double atY, double width, double hole) =>
            new()
            {
                Id = id,
                Name = name,
                Form = new ShapeForm(new EllipseShape())
                {
                    Holes = hole > 0 ? [new PieceHole(new EllipseShape(), 0, 0, hole, hole)] : [],
                },
                Making = new ClothMaking { ClothId = cloth.Id, Method = method },
                Box = new ElementBox(x, atY, width, width, 0),
            };
    }

    /// <summary>A line above and below a bar, with a tick every 10 mm: what lies between is measured against them.</summary>
    private static Element Margins(string id, double y, double height)
    {
        var lines = new List<OpenPath>();
        foreach (var side in new[] { -1, 1 })
        {
            var at = y + (side * ((height / 2) + MarginLine));
            lines.Add(new OpenPath([Line(-Bar / 2, at, Bar / 2, at)]));
            for (var x = -Bar / 2; x <= Bar / 2; x += 10)
            {
                lines.Add(new OpenPath([Line(x, at, x, at + (side * Tick))]));
            }
        }
        var box = lines.Aggregate(Box.Empty, (all, line) => all.Union(line.Bounds()));
        return new Element
        {
            Id = id,
            Name = $"margins of bar {height:0} mm",
            Box = new ElementBox(0, box.Centre.Y, box.Width, box.Height, 0),
            Form = new DrawingForm(DrawnElements.ShapeOf(new Outline([]) { Lines = [.. lines] })),
            Making = new LineMaking(),
        };
    }

    private static Curve Line(double x1, double y1, double x2, double y2) =>
        Curve.Line(new Point(x1, y1), new Point(x2, y2));
}
