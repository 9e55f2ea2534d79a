using Ullet.Core.Geometry;

namespace Ullet.Core.Projects;

/// <summary>What a needle does, as a stitch file says it.</summary>
public enum OpenedMove
{
    Stitch,
    Jump,
    Trim,
}

/// <summary>One command of an opened stitch file.</summary>
/// <param name="Move">What it is.</param>
/// <param name="At">Where, mm; of a trim where the needle stands.</param>
public readonly record struct OpenedPoint(OpenedMove Move, Point At);
