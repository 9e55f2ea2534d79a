using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Is a piece that is trimmed in the hoop large enough for scissors to follow its edge?</summary>
internal sealed class ScissorsCheck : ICheck
{
    /// <summary>A piece must be so wide somewhere that fingers can hold it flat while scissors go round it, mm.</summary>
    private const double Least = 10;

    /// <summary>Crumbs are told by a check of their own.</summary>
    private static bool IsCrumb(Box box) => box.Width < Remainders.CrumbWidth && box.Height < Remainders.CrumbWidth;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var group in input.Pieces.GroupBy(work => work.Part.Element.Id, StringComparer.Ordinal))
        {
            var element = group.First().Part.Element;
            if (AppliqueMethods.Of(element.Method).CutsToSize)
            {
                continue;
            }
            var small = group
                .SelectMany(work => work.Outline.Parts, (work, part) => (work.Part, Box: part.Shell.Bounds()))
                .Where(part => Math.Max(part.Box.Width, part.Box.Height) < Least && !IsCrumb(part.Box))
                .ToList();
            if (small.Count == 0)
            {
                continue;
            }
            var (piece, box) = small.MinBy(part => Math.Max(part.Box.Width, part.Box.Height));
            var (size, needed) = ($"{box.Width:0.0} × {LengthText.Mm(box.Height)}", LengthText.Mm(Least));
            var others = small.Count > 1 ? $" There are {small.Count} such pieces." : "";
            yield return new Finding(
                "piece-too-small-to-trim",
                FindingLevel.Warn,
                group.Key,
                box.Centre,
                $"{piece.Name} is {size}: in the hoop, scissors can't go round a piece under {needed}.{others} Cut it beforehand, or "
                    + "sew it in thread.",
                element.Element.PatternPart is null ? new CutBeforehandMend(element.Id) : null
            )
            {
                OtherMends = element.Element is { PatternPart: null, IsLocked: false }
                    ? [new MakeMend(element.Id, "satin", "satin")]
                    : [],
            };
        }
    }
}
