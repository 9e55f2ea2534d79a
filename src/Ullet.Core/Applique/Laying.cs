using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.Applique;

/// <summary>What laying and trimming have in common in all methods: how exact hands are, and how the steps are worded.</summary>
internal static class Laying
{
    /// <summary>Cloth left around the outline when it is laid, mm: enough to hold and to cut away.</summary>
    public const double Margin = 12;

    /// <summary>How exactly a cutter cuts, mm.</summary>
    internal const double CutterTolerance = 0.2;

    /// <summary>How exactly scissors follow a stitched line, mm.</summary>
    internal const double ScissorsTolerance = 0.5;

    /// <summary>How far outside the tack-down scissors leave the edge, mm.</summary>
    internal static readonly (double Least, double Most) TrimLeaves = (0.3, 1.5);

    /// <summary>How exactly hands lay a piece inside a stitched line, mm.</summary>
    internal static double Tolerance(Holding holding) => holding == Holding.Nothing ? 1.0 : 0.5;

    /// <summary>Where the edge ends that is trimmed along a tack-down.</summary>
    internal static EdgeShift Trimmed(double tackInset, EdgeTolerances exact) =>
        new(tackInset - (exact.TrimLeast ?? TrimLeaves.Least), (exact.TrimMost ?? TrimLeaves.Most) - tackInset);

    /// <summary>Where the edge of a piece ends that is cut to size and laid.</summary>
    internal static EdgeShift Laid(double cutting, AppliqueElement piece, EdgeTolerances exact)
    {
        var away = cutting + (exact.Laying ?? Tolerance(piece.Holding));
        var larger = piece.CutAllowance ?? 0;
        return new EdgeShift(away - larger, away + larger);
    }

    /// <summary>How it is kept from moving, as an order.</summary>
    internal static string Hold(Holding holding) =>
        holding switch
        {
            Holding.Fused => "press it down so that its backing holds",
            Holding.Taped => "tape it away from the needle",
            Holding.Sprayed => "hold it with basting spray, sprayed on its underside away from the machine",
            Holding.Nothing => "hold it flat until the tack-down is done",
        };

    /// <summary>Lay cloth larger than the piece over its placement line.</summary>
    internal static HandAct OverTheLine(PieceAtWork work)
    {
        var (part, cloth) = (work.Part, work.Cloth);
        var size = work.Outline.Bounds().Grown(Margin);
        var hold = part.Element.Holding switch
        {
            Holding.Fused => "Take the hoop off the machine and press it down so that its backing holds.",
            Holding.Taped => "Tape its corners away from the needle.",
            Holding.Sprayed => "Smooth it down from the middle outwards.",
            Holding.Nothing => "Hold it flat, fingers clear of the needle.",
        };
        return new HandAct(
            new HandWork(
                HandKind.Lay,
                "lay",
                (part.Element.Holding == Holding.Sprayed ? HoldingTable.Spraying(cloth.Name) : "")
                    + $"Lay {cloth.Name} face up over the placement line of {part.Name}; it must be at least "
                    + $"{LengthText.AtLeast(size.Width, size.Height)}. {hold}",
                null,
                HoopOff: part.Element.Holding == Holding.Fused,
                [new LayerLaid(part.LayerId, part.Name, cloth, FaceUp: true, work.Offset(Margin, false).Regions)]
            )
            {
                UsesHeat = part.Element.Holding == Holding.Fused,
                Tape = part.Element.Holding == Holding.Taped ? [new Taped(part.LayerId, TapePlace.Corners)] : [],
            }
        );
    }

    /// <summary>Lay the piece that was cut to size inside its placement line.</summary>
    internal static HandAct InsideTheLine(PieceAtWork work)
    {
        var (part, cloth) = (work.Part, work.Cloth);
        var hold = part.Element.Holding switch
        {
            Holding.Fused => "and fuse it, the hoop off the machine",
            Holding.Taped => "and tape it",
            Holding.Sprayed => "and smooth it down",
            Holding.Nothing => "and hold it flat",
        };
        return new HandAct(
            new HandWork(
                HandKind.Lay,
                "lay",
                (part.Element.Holding == Holding.Sprayed ? HoldingTable.Spraying($"the cut {cloth.Name} piece") : "")
                    + $"Lay the cut {cloth.Name} piece for {part.Name} face up inside its placement line {hold}; "
                    + "the line should just show all round.",
                null,
                HoopOff: part.Element.Holding == Holding.Fused,
                [new LayerLaid(part.LayerId, part.Name, cloth, FaceUp: true, work.Outline.Flatten())]
            )
            {
                UsesHeat = part.Element.Holding == Holding.Fused,
                Tape = part.Element.Holding == Holding.Taped ? [new Taped(part.LayerId, TapePlace.Sides)] : [],
            }
        );
    }

    /// <summary>Trim a laid cloth close to a line.</summary>
    /// <param name="work">The piece.</param>
    /// <param name="line">What the line is called.</param>
    internal static HandAct TrimAlong(PieceAtWork work, string line)
    {
        var (part, cloth) = (work.Part, work.Cloth);
        var edge = ((TrimLeaves.Least + TrimLeaves.Most) / 2) - ClothStages.TackInset(part.Element, cloth);
        var holes = !part.HasHoles ? "" : ", and cut out the hole inside its own line";
        return new HandAct(
            new HandWork(
                HandKind.Trim,
                "trim",
                $"Take the hoop off the machine, leave the cloth in it, and trim {cloth.Name} close to the {line} of "
                    + $"{part.Name}{holes}.",
                $"Do not cut the {line} stitches.",
                HoopOff: true,
                [new LayerTrimmed(part.LayerId, work.Offset(edge, true).Regions)]
            )
        );
    }
}
