using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>A line laid across a column: strokes there lie along it, mm.</summary>
public readonly record struct StrokeDirection(Point From, Point To);
