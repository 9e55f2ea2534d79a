using System.Collections.Immutable;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>A stitch along a line.</summary>
/// <param name="Kind">The stitch.</param>
/// <param name="Name">What it is called.</param>
/// <param name="UsualWidth">mm; 0 for one that lies on the line.</param>
/// <param name="UsualLength">Of a stitch or a unit, mm; a decorative unit has its own.</param>
public sealed record LineRow(LineKind Kind, string Name, double UsualWidth, double UsualLength);

/// <summary>The stitches along lines.</summary>
public static class LineTable
{
    public static readonly ImmutableArray<LineRow> All =
    [
        new(LineKind.Run, "running, once along", 0, StitchDefaults.RunLength),
        new(LineKind.Bean, "bean, each stitch three times", 0, StitchDefaults.RunLength),
        new(LineKind.Zigzag, "zigzag, to and fro across", StitchDefaults.ZigzagWidth, StitchDefaults.RunLength),
        new(LineKind.Blanket, "blanket, with teeth to one side", 3, StitchDefaults.BlanketSpacing),
        new(LineKind.Motif, "a decorative stitch", 4, 4),
    ];

    public static LineRow Of(LineKind kind) => All.First(row => row.Kind == kind);
}
