using System.Collections.Immutable;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Placement, lay the cut piece inside the line, light tack-down, cover; the piece is cut to size first.</summary>
public sealed class CutBeforehand : IAppliqueMethod
{
    /// <summary>How exactly a cutter cuts, mm.</summary>
    public const double CutterTolerance = 0.2;

    /// <summary>How exactly hands lay a fused or taped piece inside a stitched line, mm.</summary>
    public const double LayingTolerance = 0.5;

    public Method Id => Method.CutBeforehand;

    public string Name => "Cut beforehand";

    public string Summary =>
        "Cut the piece to its exact shape first, with a cutter or a template, and lay it inside the placement line; nothing is trimmed.";

    public double TackInset => StitchDefaults.TackInsetCut;

    public double CutAllowance => 0;

    public bool CutsToSize => true;

    public EdgeShift Shift(double tackInset) =>
        new(CutterTolerance + LayingTolerance, CutterTolerance + LayingTolerance);

    public ImmutableArray<MethodAct> Acts(PieceAtWork work)
    {
        var (part, cloth) = (work.Part, work.Cloth);
        return
        [
            new StageAct(StageRole.Placement),
            new HandAct(
                new HandWork(
                    HandStepKind.Lay,
                    "lay",
                    $"Lay the cut {cloth.Name} piece for {part.Name} face up inside its placement line and fuse or tape it; "
                        + "the line should just show all round.",
                    null,
                    HoopOff: false,
                    [new LayerLaid(part.LayerId, part.Name, cloth, FaceUp: true, work.Outline.Flatten())]
                )
            ),
            new StageAct(StageRole.TackDown),
            new StageAct(StageRole.Cover),
        ];
    }
}
