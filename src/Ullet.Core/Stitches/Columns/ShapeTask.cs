using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>One connected shape that is to be sewn in columns.</summary>
/// <param name="Region">The shape, compensated, mm.</param>
/// <param name="Numbers">Spacing, underlay.</param>
/// <param name="Directions">Lines that turn its strokes.</param>
/// <param name="Entry">The needle enters near this spot, mm.</param>
/// <param name="Exit">It should leave near this one; null for where it entered.</param>
internal sealed record ShapeTask(
    Region Region,
    ColumnNumbers Numbers,
    ImmutableArray<StrokeDirection> Directions,
    Point Entry,
    Point? Exit
);
