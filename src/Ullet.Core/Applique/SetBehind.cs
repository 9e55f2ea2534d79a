using System.Collections.Immutable;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Lay the cloth beneath, outline run through both, cut the ground away inside the line, cover: a window.</summary>
public sealed class SetBehind : IAppliqueMethod
{
    public Method Id => Method.SetBehind;

    public string Name => "Set behind";

    public string Summary =>
        "Lay the cloth beneath the hoop, let the machine outline the shape through both, and cut the ground away inside the line: a window.";

    public ImmutableArray<StageId> Stages => [StageId.TackDown, StageId.Cover];

    public double TackInset => StitchDefaults.TackInsetTrimmed;

    public double? CutAllowance => Laying.Margin;

    public bool CutsToSize => false;

    public bool CoverLiesOnGround => true;

    public string StageWords(StageId id) => id == StageId.TackDown ? "outline" : StageTable.Of(id).Words;

    public string StageAbout(StageId id) =>
        id == StageId.TackDown
            ? "One line goes round the window and sews the cloth beneath to the ground; you cut the ground away inside it."
            : StageTable.Of(id).About;

    public EdgeShift Shift(double tackInset, AppliqueElement piece, EdgeTolerances exact) =>
        Laying.Trimmed(tackInset, exact);

    public ImmutableArray<MethodAct> Acts(PieceAtWork work)
    {
        var (part, cloth) = (work.Part, work.Cloth);
        var size = work.Outline.Bounds().Grown(Laying.Margin);
        // The ground ends a little inside the outline run, which lies outside the outline by the inset.
        var left = (Laying.TrimLeaves.Least + Laying.TrimLeaves.Most) / 2;
        var window = work.Offset(-ClothStages.TackInset(part.Element, cloth) - left, true).Regions;
        return
        [
            new HandAct(
                new HandWork(
                    HandKind.Lay,
                    "lay",
                    $"Take the hoop off the machine, turn it over, and lay {cloth.Name} face down over the back where {part.Name} "
                        + $"goes; it must be at least {LengthText.AtLeast(size.Width, size.Height)}. Tape its edges, then turn "
                        + "the hoop back.",
                    "Check that the cloth lies flat beneath before you press start.",
                    HoopOff: true,
                    [
                        new LayerLaid(
                            part.LayerId,
                            part.Name,
                            cloth,
                            FaceUp: true,
                            work.Offset(Laying.Margin, false).Regions
                        )
                        {
                            IsBeneath = true,
                        },
                    ]
                )
                {
                    Tape = [new Taped(part.LayerId, TapePlace.Sides)],
                }
            ),
            new StageAct(StageId.TackDown),
            new HandAct(
                new HandWork(
                    HandKind.Trim,
                    "open",
                    $"Take the hoop off the machine, leave the cloth in it, and cut the ground away inside the outline of {part.Name}, "
                        + "close to the stitches.",
                    $"Cut the top layer only: {cloth.Name} beneath must stay whole.",
                    HoopOff: true,
                    [new LayerOpened(HandWork.GroundLayer, window)]
                )
            ),
            new StageAct(StageId.Cover),
        ];
    }
}
