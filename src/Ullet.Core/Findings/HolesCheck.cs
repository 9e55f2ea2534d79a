using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Do holes lie inside their piece, clear of its edge, and are they large enough for scissors, cutter and cover?</summary>
internal sealed class HolesCheck : ICheck
{
    /// <summary>Scissors need about this much room in a hole, mm.</summary>
    internal const double ScissorsRoom = 8;

    public IEnumerable<Finding> Run(FindingInput input) =>
        input.Pieces.GroupBy(work => work.Part.Element.Id, StringComparer.Ordinal).SelectMany(Judge);

    /// <summary>One line for all holes of an element that have the same fault.</summary>
    private static IEnumerable<Finding> Judge(IEnumerable<PieceAtWork> pieces)
    {
        var holes = pieces
            .SelectMany(work => work.Outline.Parts, (work, part) => (work, part))
            .SelectMany(pair => pair.part.Holes, (pair, hole) => Hole.Of(pair.work, pair.part.Shell, hole))
            .ToList();
        if (holes.Find(hole => hole.CrossesEdge) is { } crossing)
        {
            yield return new Finding(
                "hole-outside",
                FindingLevel.Stop,
                crossing.Piece.Element.Id,
                crossing.At,
                $"A hole of {crossing.Piece.Name} crosses its edge. Make it smaller or move it inside."
            );
        }
        var inside = holes.Where(hole => !hole.CrossesEdge).ToList();
        // What a blade cuts is judged by its own profile, where it is cut.
        var small = inside.Where(hole => !hole.IsCut && hole.Room < ScissorsRoom).ToList();
        if (small.Count > 0)
        {
            var worst = small.MinBy(hole => hole.Room)!;
            var (room, needed) = LengthsApart.Mm(worst.Room, ScissorsRoom);
            yield return new Finding(
                "hole-too-small",
                FindingLevel.Warn,
                worst.Piece.Element.Id,
                worst.At,
                $"{Count(small.Count, worst.Piece)} {room} across; scissors need about {needed}. "
                    + "Make it larger, cut the cloth beforehand, or leave it out."
            )
            {
                OtherMends = SmallHoleMends(worst.Piece.Element, Above(small.Max(hole => hole.Room))),
            };
        }
        var closed = inside.Where(hole => hole.Closing > 0 && hole.Room <= hole.Closing).ToList();
        if (closed.Count > 0)
        {
            var worst = closed.MinBy(hole => hole.Room)!;
            yield return new Finding(
                "hole-closes",
                FindingLevel.Warn,
                worst.Piece.Element.Id,
                worst.At,
                $"The cover closes {(closed.Count > 1 ? $"{closed.Count} holes" : "a hole")} of {worst.Piece.Name}: it takes "
                    + $"{LengthText.Mm(worst.Closing)} of the hole's {LengthText.Mm(worst.Room)}. Make the hole larger or the cover "
                    + "narrower.",
                new CloseHolesMend(worst.Piece.Element.Id, Above(closed.Max(hole => hole.Room)))
            );
        }
    }

    /// <summary>A letter keeps its counter where it can.</summary>
    private static ImmutableArray<Mend> SmallHoleMends(AppliqueElement element, double width)
    {
        if (element.Element is { PatternPart: not null } or { IsLocked: true })
        {
            return [];
        }
        var (close, cut) = (new CloseHolesMend(element.Id, width), new CutBeforehandMend(element.Id));
        return element.Element.Form is TextForm ? [cut, close] : [close, cut];
    }

    private static string Count(int count, AppliquePart piece) =>
        count > 1 ? $"{count} holes are too small for scissors; one of {piece.Name} is" : $"A hole of {piece.Name} is";

    /// <summary>The next tenth over a width, mm: holes of that width are closed too.</summary>
    internal static double Above(double width) => Math.Floor((width * 10) + 1.5) / 10;

    /// <summary>A hole and what is wanted of it, mm.</summary>
    private sealed record Hole(AppliquePart Piece, Point At, double Room, bool IsCut, double Closing, bool CrossesEdge)
    {
        internal static Hole Of(PieceAtWork work, Contour shell, Contour hole)
        {
            Budget.Spend();
            var (piece, ring) = (work.Part, hole.Flatten());
            var box = ring.Bounds();
            var outside = RegionOverlay.Difference(
                [new Region(ring.Reversed(), [])],
                [new Region(shell.Flatten(), [])]
            );
            return new Hole(
                piece,
                box.Centre,
                Math.Min(box.Width, box.Height),
                AppliqueMethods.Of(piece.Element.Method).CutsToSize,
                piece.Element.Stages.Cover.Off ? 0 : 2 * CoverChoice.Of(piece.Element, work.Cloth).Outside,
                outside.Sum(region => region.Area) > 0.01
            );
        }
    }
}
