using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>How a line without cloth is sewn, every number resolved.</summary>
public static class LinePlan
{
    /// <summary>The usual length of its stitches, or of a unit, mm.</summary>
    public static double UsualLength(LineSettings line) =>
        line.Kind == LineKind.Motif ? StitchUnit.Of(line.MotifId).Length : LineTable.Of(line.Kind).UsualLength;

    /// <summary>How far it reaches from the line, mm.</summary>
    public static double Reach(LineSettings line)
    {
        var width = Width(line);
        return line.Kind == LineKind.Blanket ? width : width / 2;
    }

    internal static StitchPlan Of(LineSettings line)
    {
        var length = line.StitchLength ?? UsualLength(line);
        return line.Kind switch
        {
            LineKind.Run => new RunPlan(length, 0, line.Passes),
            LineKind.Bean => new RunPlan(length, 0, line.Passes) { IsBean = true },
            LineKind.Zigzag => new RunPlan(length, 0, line.Passes) { Across = Width(line) },
            LineKind.Blanket => new UnitLinePlan(null, length, Reach(line), line.IsMirrored, line.Passes),
            LineKind.Motif => new UnitLinePlan(
                StitchUnit.Of(line.MotifId).Id,
                length,
                Reach(line),
                line.IsMirrored,
                line.Passes
            ),
        };
    }

    private static double Width(LineSettings line) =>
        LineTable.Of(line.Kind).UsualWidth is > 0 and var usual ? line.Width ?? usual : 0;
}
