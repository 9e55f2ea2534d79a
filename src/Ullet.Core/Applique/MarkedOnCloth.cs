using System.Collections.Immutable;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>A cut guide on the piece's own cloth, hooped alone; cut out on that line; then as Cut beforehand.</summary>
public sealed class MarkedOnCloth : IAppliqueMethod
{
    public Method Id => Method.MarkedOnCloth;

    public string Name => "Marked on the cloth";

    public string Summary =>
        "The machine first stitches the outline on the piece's own cloth, hooped alone; cut out on that line and lay it like a piece from a cutter.";

    public ImmutableArray<StageRole> Stages =>
        [StageRole.CutGuide, StageRole.Placement, StageRole.TackDown, StageRole.Cover];

    public double TackInset => StitchDefaults.TackInsetCut;

    public double? CutAllowance => null;

    public bool CutsToSize => true;

    public EdgeShift Shift(double tackInset, AppliqueElement piece, EdgeTolerances exact) =>
        Laying.Laid(exact.Cutting ?? Laying.ScissorsTolerance, piece, exact);

    public ImmutableArray<MethodAct> Acts(PieceAtWork work) =>
        [
            new StageAct(StageRole.Placement),
            Laying.InsideTheLine(work),
            new StageAct(StageRole.TackDown),
            new StageAct(StageRole.Cover),
        ];

    public HandWork AfterGuide(PieceAtWork work) =>
        new(
            HandKind.CutOut,
            "cut-out",
            $"Take {work.Cloth.Name} out of the hoop and cut {work.Part.Name} out on its stitched line"
                + (work.Part.HasHoles ? ", its hole as well" : "")
                + "; leave the line on the piece.",
            null,
            HoopOff: true,
            []
        );
}
