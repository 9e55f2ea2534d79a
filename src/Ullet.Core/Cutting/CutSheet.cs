using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Cutting;

/// <summary>A shape where it lies on the mat; mm from the mat's top left, y down.</summary>
/// <param name="Shape">The shape.</param>
/// <param name="Outline">Its line on the mat.</param>
/// <param name="Copy">Which of its copies, from 0.</param>
/// <param name="Turn">How far it is turned, degrees clockwise.</param>
/// <param name="Unit">The first of the shapes that it keeps its place to; itself when it lies alone.</param>
public sealed record PlacedShape(CutShape Shape, Outline Outline, int Copy, int Turn, UnitName Unit)
{
    /// <summary>Lines on it beside its edge, on the mat.</summary>
    public ImmutableArray<MarkLine> Lines { get; init; } = [];

    /// <summary>What its outline is for.</summary>
    public CutRole Role { get; init; }

    /// <summary>From the wall to the mat.</summary>
    public Affine Map { get; init; } = Affine.Identity;

    internal PlacedShape Moved(double x, double y) => Mapped(Affine.Translate(x, y), Outline.Moved(x, y));

    internal PlacedShape Transform(Affine map) => Mapped(map, Outline.Transform(map));

    private PlacedShape Mapped(Affine map, Outline outline) =>
        this with
        {
            Outline = outline,
            Lines = [.. Lines.Select(line => line.Transform(map))],
            Map = Map.Then(map),
        };
}

/// <summary>Names what is laid as one: its first shape and which copy.</summary>
/// <param name="Key">The first shape's key.</param>
/// <param name="Copy">Which of its copies, from 0.</param>
/// <param name="IsAlone">True for a shape that hands took away from what it was laid with.</param>
public readonly record struct UnitName(string Key, int Copy, bool IsAlone = false);

/// <summary>Two shapes of a sheet, by their number on it, that overlap or leave less between them than holds.</summary>
public readonly record struct Meeting(int First, int Second);

/// <summary>One cloth's shapes on one mat.</summary>
/// <param name="Setup">The cloth, its mat and its profile.</param>
/// <param name="Number">Which of the cloth's sheets, from 1.</param>
/// <param name="Count">How many sheets the cloth has.</param>
/// <param name="Layout">How shapes came to their places.</param>
/// <param name="Shapes">Every shape with its line on the mat.</param>
public sealed record CutSheet(
    ClothSetup Setup,
    int Number,
    int Count,
    SheetLayout Layout,
    ImmutableArray<PlacedShape> Shapes
)
{
    /// <summary>Shapes that lie too near to each other.</summary>
    public ImmutableArray<Meeting> Meetings { get; init; } = [];

    public Cloth Cloth => Setup.Cloth;

    public double MatWidth => Setup.Mat.Width;

    public double MatHeight => Setup.Mat.Height;

    public bool IsMirrored => Setup.IsMirrored;

    /// <summary>The box that all shapes take on the mat, mm.</summary>
    public Box Bounds() => Shapes.Aggregate(Box.Empty, (box, placed) => box.Union(placed.Outline.Bounds()));

    /// <summary>The frame round all shapes that makes weeding easy, mm on the mat: as far out as the mat has room; null without one.</summary>
    public Box? WeedingBox
    {
        get
        {
            var box = Bounds().Grown(WeedingRoom);
            var usable = Setup.Usable;
            return !Setup.Cut.Marks.WeedingBox || Shapes.IsEmpty
                ? null
                : new Box(
                    Math.Min(Math.Max(box.MinX, usable.MinX), box.MinX + WeedingRoom),
                    Math.Min(Math.Max(box.MinY, usable.MinY), box.MinY + WeedingRoom),
                    Math.Max(Math.Min(box.MaxX, usable.MaxX), box.MaxX - WeedingRoom),
                    Math.Max(Math.Min(box.MaxY, usable.MaxY), box.MaxY - WeedingRoom)
                );
        }
    }

    /// <summary>It lies so far outside the shapes, mm.</summary>
    private const double WeedingRoom = 6;

    /// <summary>The two shapes of a meeting, by name.</summary>
    public string NamesOf(Meeting meeting)
    {
        var (first, second) = (Shapes[meeting.First].Shape.Name, Shapes[meeting.Second].Shape.Name);
        return first == second ? $"two copies of {first}" : $"{first} and {second}";
    }

    /// <summary>True when every shape lies where the cloth is and the mat's margin ends.</summary>
    public bool Fits => Setup.IsByHand || Setup.Usable.Contains(Bounds(), Tolerance.Quantum);
}
