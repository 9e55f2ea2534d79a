using System.Collections.Immutable;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Placement, lay the cloth over the line, tack-down, trim close to it, cover.</summary>
public sealed class TrimInTheHoop : IAppliqueMethod
{
    /// <summary>Cloth left around the outline when it is laid, mm: enough to hold and to cut away.</summary>
    public const double LaidMargin = 12;

    /// <summary>How far outside the tack-down scissors leave the edge, mm.</summary>
    public static readonly (double Least, double Most) TrimLeaves = (0.3, 1.5);

    public Method Id => Method.TrimInTheHoop;

    public string Name => "Trim in the hoop";

    public string Summary =>
        "Lay a larger piece of cloth over the placement line, let the machine tack it down, then trim it with scissors in the hoop.";

    public double TackInset => StitchDefaults.TackInsetTrimmed;

    public double CutAllowance => LaidMargin;

    public bool CutsToSize => false;

    public EdgeShift Shift(double tackInset) => new(tackInset - TrimLeaves.Least, TrimLeaves.Most - tackInset);

    public ImmutableArray<MethodAct> Acts(PieceAtWork work)
    {
        var (part, cloth) = (work.Part, work.Cloth);
        var laid = work.Offset(LaidMargin, false).Regions;
        var edge = ((TrimLeaves.Least + TrimLeaves.Most) / 2) - StageNumbers.TackInset(part.Element);
        var size = work.Outline.Bounds().Grown(LaidMargin);
        var holes = !part.HasHoles ? "" : ", and cut out the hole inside its own line";
        return
        [
            new StageAct(StageRole.Placement),
            new HandAct(
                new HandWork(
                    HandStepKind.Lay,
                    "lay",
                    $"Lay {cloth.Name} face up over the placement line of {part.Name}; it must be at least "
                        + $"{LengthText.AtLeast(size.Width, size.Height)}. Tape its corners away from the needle.",
                    null,
                    HoopOff: false,
                    [new LayerLaid(part.LayerId, part.Name, cloth, FaceUp: true, laid)]
                )
            ),
            new StageAct(StageRole.TackDown),
            new HandAct(
                new HandWork(
                    HandStepKind.Trim,
                    "trim",
                    $"Take the hoop off the machine, leave the cloth in it, and trim {cloth.Name} close to the tack-down of "
                        + $"{part.Name}{holes}.",
                    "Do not cut the tack-down stitches.",
                    HoopOff: true,
                    [new LayerTrimmed(part.LayerId, work.Offset(edge, true).Regions)]
                )
            ),
            new StageAct(StageRole.Cover),
        ];
    }
}
