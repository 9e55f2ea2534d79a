using System.Collections.Immutable;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Placement, lay the cloth over the line, tack-down, trim close to it, cover.</summary>
public sealed class TrimInTheHoop : IAppliqueMethod
{
    public Method Id => Method.TrimInTheHoop;

    public string Name => "Trim in the hoop";

    public string Summary =>
        "Lay a larger piece of cloth over the placement line, let the machine tack it down, then trim it with scissors in the hoop.";

    public ImmutableArray<StageId> Stages => [StageId.Placement, StageId.TackDown, StageId.Cover];

    public double TackInset => StitchDefaults.TackInsetTrimmed;

    public double? CutAllowance => Laying.Margin;

    public bool CutsToSize => false;

    public EdgeShift Shift(double tackInset, AppliqueElement piece, EdgeTolerances exact) =>
        Laying.Trimmed(tackInset, exact);

    public ImmutableArray<MethodAct> Acts(PieceAtWork work) =>
        [
            new StageAct(StageId.Placement),
            Laying.OverTheLine(work),
            new StageAct(StageId.TackDown),
            Laying.TrimAlong(work, "tack-down"),
            new StageAct(StageId.Cover),
        ];
}
