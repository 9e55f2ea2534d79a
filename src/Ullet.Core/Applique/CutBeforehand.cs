using System.Collections.Immutable;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Placement, lay the cut piece inside the line, light tack-down, cover; the piece is cut to size first.</summary>
public sealed class CutBeforehand : IAppliqueMethod
{
    public Method Id => Method.CutBeforehand;

    public string Name => "Cut beforehand";

    public string Summary =>
        "Cut the piece to its exact shape first, with a cutter or a template, and lay it inside the placement line; nothing is trimmed.";

    public ImmutableArray<StageId> Stages => [StageId.Placement, StageId.TackDown, StageId.Cover];

    public double TackInset => StitchDefaults.TackInsetCut;

    public double? CutAllowance => 0;

    public bool CutsToSize => true;

    public EdgeShift Shift(double tackInset, AppliqueElement piece, EdgeTolerances exact) =>
        Laying.Laid(exact.Cutting ?? Laying.CutterTolerance, piece, exact);

    public ImmutableArray<MethodAct> Acts(PieceAtWork work) =>
        [
            new StageAct(StageId.Placement),
            Laying.InsideTheLine(work),
            new StageAct(StageId.TackDown),
            new StageAct(StageId.Cover),
        ];
}
