using System.Collections.Immutable;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Placement, lay, a bean stitch inside the edge, trim; the edge frays on purpose and has no cover.</summary>
public sealed class RawEdge : IAppliqueMethod
{
    public Method Id => Method.RawEdge;

    public string Name => "Raw edge";

    public string Summary =>
        "A bean stitch inside the edge holds the cloth; it is trimmed a little outside the stitching and left to fray.";

    public ImmutableArray<StageId> Stages => [StageId.Placement, StageId.Cover];

    public double TackInset => StitchDefaults.RawEdgeInset;

    public double? CutAllowance => Laying.Margin;

    public bool CutsToSize => false;

    public CoverKind? OnlyCover => CoverKind.RawEdge;

    public string StageWords(StageId id) => id == StageId.Cover ? "holding line" : StageTable.Of(id).Words;

    public string StageAbout(StageId id) =>
        id == StageId.Cover
            ? "A threefold line well inside the edge holds the cloth; you trim it a little outside, and its edge frays."
            : StageTable.Of(id).About;

    /// <summary>Scissors follow the outline by eye, as far from the stitching as the inset.</summary>
    public EdgeShift Shift(double tackInset, AppliqueElement piece, EdgeTolerances exact) =>
        new(exact.Cutting ?? Laying.ScissorsTolerance, exact.Cutting ?? Laying.ScissorsTolerance);

    public ImmutableArray<MethodAct> Acts(PieceAtWork work)
    {
        var (part, cloth) = (work.Part, work.Cloth);
        var margin = Math.Abs(CoverChoice.Of(part.Element, cloth).Inset);
        return
        [
            new StageAct(StageId.Placement),
            Laying.OverTheLine(work),
            new StageAct(StageId.Cover),
            new HandAct(
                new HandWork(
                    HandKind.Trim,
                    "trim",
                    $"Take the hoop off the machine and trim {cloth.Name} round {part.Name}, leaving a margin of "
                        + $"{LengthText.Mm(margin)} outside the stitching.",
                    "Do not cut the ground.",
                    HoopOff: true,
                    [new LayerTrimmed(part.LayerId, work.Outline.Flatten())]
                )
            ),
        ];
    }
}
