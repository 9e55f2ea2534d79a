using System.Collections.Immutable;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Hooped together with the ground: outline run, trim round it, cover.</summary>
public sealed class LaidFirst : IAppliqueMethod
{
    public Method Id => Method.LaidFirst;

    public string Name => "Laid first";

    public string Summary =>
        "Hoop the piece's cloth together with the ground, let the machine outline it, trim round the line and cover it: two stages, quick.";

    public ImmutableArray<StageId> Stages => [StageId.TackDown, StageId.Cover];

    public double TackInset => StitchDefaults.TackInsetTrimmed;

    public double? CutAllowance => null;

    public bool CutsToSize => false;

    public string StageWords(StageId id) => id == StageId.TackDown ? "outline" : StageTable.Of(id).Words;

    public string StageAbout(StageId id) =>
        id == StageId.TackDown
            ? "One line goes round the piece and sews its cloth to the ground; you trim the cloth outside it."
            : StageTable.Of(id).About;

    public EdgeShift Shift(double tackInset, AppliqueElement piece, EdgeTolerances exact) =>
        Laying.Trimmed(tackInset, exact);

    public ImmutableArray<MethodAct> Acts(PieceAtWork work) =>
        [new StageAct(StageId.TackDown), Laying.TrimAlong(work, "outline"), new StageAct(StageId.Cover)];
}
