using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Do letters that are laid one by one touch each other?</summary>
internal sealed class LettersTouchCheck : ICheck
{
    /// <summary>Nearer than this is touching, mm.</summary>
    private const double Touching = 0.05;

    /// <summary>Room that spacing leaves beside the covers, share of the cap height.</summary>
    private const double SpareShare = 0.02;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        var words = input
            .Pieces.Where(work => work.Part.Element.Element.FormedAs<TextForm>() is { IsOnePiece: false })
            .GroupBy(work => work.Part.Element.Id, StringComparer.Ordinal);
        foreach (var word in words)
        {
            var letters = word.Select(work => (work.Part, Outline: work.Edge, Box: work.Edge.Bounds())).ToList();
            var touching = new List<(AppliquePart One, AppliquePart Other, Point At, double Deep)>();
            for (var i = 0; i < letters.Count; i++)
            {
                for (var j = i + 1; j < letters.Count; j++)
                {
                    Budget.Spend();
                    var (one, other) = (letters[i], letters[j]);
                    if (
                        one.Box.Grown(Touching).Overlaps(other.Box)
                        && RegionOverlay.AreNearer(one.Outline.Flatten(), other.Outline.Flatten(), Touching)
                    )
                    {
                        var meet = one.Box.Grown(Touching).Overlap(other.Box);
                        touching.Add((one.Part, other.Part, meet.Centre, meet.Width));
                    }
                }
            }
            if (touching.Count > 0)
            {
                yield return Found(word.First().Part.Element, touching, input);
            }
        }
    }

    private static Finding Found(
        AppliqueElement element,
        List<(AppliquePart One, AppliquePart Other, Point At, double Deep)> touching,
        FindingInput input
    )
    {
        var (one, other, at, _) = touching[0];
        var trims = !AppliqueMethods.Of(element.Method).CutsToSize;
        var others = touching.Count > 1 ? $" {touching.Count} pairs do." : "";
        var mayChange = element.Element is { PatternPart: null, IsLocked: false };
        var outside = element.Stages.Cover.Off ? 0 : CoverChoice.Of(element, input.Project).Outside;
        var height = Math.Max(input.CapHeightOf(element.Element), 1);
        var more = ((touching.Max(pair => pair.Deep) + (2 * outside)) / height) + SpareShare;
        var spacing = element.Element.FormedAs<TextForm>()!.Spacing + more;
        return new Finding(
            "letters-touch",
            trims ? FindingLevel.Warn : FindingLevel.Tip,
            element.Id,
            at,
            $"{Letter(one, element)} and {Letter(other, element)} of {element.Name} touch.{others} Laid letter by letter, one cover lies "
                + $"on the other there{(trims ? ", and scissors would trim against it" : "")}. Make the letters one piece, or space "
                + "them.",
            mayChange ? new OnePieceMend(element.Id) : null
        )
        {
            OtherMends =
                mayChange && spacing <= WordsLimits.Spacing.Most ? [new SpaceLettersMend(element.Id, spacing)] : [],
        };
    }

    private static string Letter(AppliquePart part, AppliqueElement element) =>
        part.Name.StartsWith(element.Name + ", ", StringComparison.Ordinal)
            ? part.Name[(element.Name.Length + 2)..]
            : part.Name;
}
