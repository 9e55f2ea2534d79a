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

    public ImmutableArray<StageId> Stages => [StageId.CutGuide, StageId.Placement, StageId.TackDown, StageId.Cover];

    public double TackInset => StitchDefaults.TackInsetCut;

    public double? CutAllowance => null;

    public bool CutsToSize => true;

    public EdgeShift Shift(double tackInset, AppliqueElement piece, EdgeTolerances exact) =>
        Laying.Laid(exact.Cutting ?? Laying.ScissorsTolerance, piece, exact);

    public ImmutableArray<MethodAct> Acts(PieceAtWork work) =>
        [
            new StageAct(StageId.Placement),
            Laying.InsideTheLine(work),
            new StageAct(StageId.TackDown),
            new StageAct(StageId.Cover),
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
