using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Do holes lie inside their piece, clear of its edge, and are they large enough for scissors, cutter and cover?</summary>
internal sealed class HolesCheck : ICheck
{
    /// <summary>Scissors need about this much room in a hole, mm.</summary>
    private const double ScissorsRoom = 8;

    /// <summary>A cutter cuts a hole of about this size cleanly, mm.</summary>
    private const double CutterRoom = 4;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var work in input.Pieces)
        {
            Budget.Spend();
            foreach (var part in work.Outline.Parts)
            {
                foreach (var finding in part.Holes.SelectMany(hole => Judge(work.Part, work.Cloth, part.Shell, hole)))
                {
                    yield return finding;
                }
            }
        }
    }

    private static IEnumerable<Finding> Judge(AppliquePart piece, Cloth cloth, Contour shell, Contour hole)
    {
        var ring = hole.Flatten();
        var box = ring.Bounds();
        var solid = new Region(ring.Reversed(), []);
        var outside = RegionOverlay.Difference([solid], [new Region(shell.Flatten(), [])]);
        if (outside.Sum(region => region.Area) > 0.01)
        {
            yield return new Finding(
                "hole-outside",
                FindingLevel.Stop,
                piece.Element.Id,
                box.Centre,
                $"A hole of {piece.Name} crosses its edge. Make it smaller or move it inside."
            );
            yield break;
        }
        var room = Math.Min(box.Width, box.Height);
        var cutter = AppliqueMethods.Of(piece.Element.Method).CutsToSize;
        var needed = cutter ? CutterRoom : ScissorsRoom;
        if (room < needed)
        {
            yield return new Finding(
                "hole-too-small",
                FindingLevel.Warn,
                piece.Element.Id,
                box.Centre,
                $"A hole of {piece.Name} is {LengthText.Mm(room)} across; {(cutter ? "a cutter" : "scissors")} "
                    + $"need{(cutter ? "s" : "")} about {needed:0} mm. Make it larger, or leave it out."
            );
        }
        var closing = 2 * CoverChoice.Of(piece.Element, cloth).Outside;
        if (!piece.Element.Stages.Cover.Off && room <= closing)
        {
            yield return new Finding(
                "hole-closes",
                FindingLevel.Warn,
                piece.Element.Id,
                box.Centre,
                $"The cover closes a hole of {piece.Name}: it takes {LengthText.Mm(closing)} of the hole's "
                    + $"{LengthText.Mm(room)}. Make the hole larger or the cover narrower."
            );
        }
    }
}
