using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Findings;

/// <summary>Names the places where a cover had to be narrowed because two edges face each other too near.</summary>
internal sealed class NarrowPieceCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var group in input.Pieces.GroupBy(work => work.Part.Element.Id, StringComparer.Ordinal))
        {
            var narrow = group
                .Select(work => (work.Part, Worst: Worst(input, work.Part)))
                .Where(pair => pair.Worst is not null)
                .ToList();
            if (narrow.Count == 0)
            {
                continue;
            }
            var (part, worst) = narrow.MinBy(pair => pair.Worst!.Width);
            var tooNarrow = worst!.Width < StitchDefaults.NarrowestCover;
            var others = narrow.Count > 1 ? $" {narrow.Count} letters have such places." : "";
            yield return new Finding(
                "piece-narrow",
                tooNarrow ? FindingLevel.Warn : FindingLevel.Tip,
                group.Key,
                worst.At,
                $"{part.Name} is so narrow in places that its covers meet; the cover is {LengthText.Mm(worst.Width)} wide "
                    + $"there.{others} {(tooNarrow ? "Make the piece larger or the cover narrower." : "No cloth shows between them.")}"
            )
            {
                OtherMends = Mends(input, [.. group]),
            };
        }
    }

    private static NarrowPlace? Worst(FindingInput input, AppliquePart part) =>
        Places(input, part).MinBy(place => place.Width);

    private static ImmutableArray<NarrowPlace> Places(FindingInput input, AppliquePart part)
    {
        var key = new StepKey(part.Element.Id, StageTable.Of(StageId.Cover).Key, part.Ordinal);
        return input.Stitches.TryGetValue(key, out var stitches) ? stitches.NarrowPlaces : [];
    }

    /// <summary>Wider where it is thin, a narrower cover there, or none.</summary>
    private static ImmutableArray<Mend> Mends(FindingInput input, List<PieceAtWork> pieces)
    {
        var element = pieces[0].Part.Element;
        var mends = ImmutableArray.CreateBuilder<Mend>();
        if (element.Element is { IsLocked: true } or { PatternPart: not null })
        {
            return [];
        }
        var cover = CoverChoice.Of(element, pieces[0].Cloth);
        var bare = cover.Band.Width * (1 - cover.Band.InsideShare);
        var inside = (cover.Band.Width * cover.Band.InsideShare) + cover.Band.Compensation;
        // Both bands have room side by side, and a hair more than the fitted edge may be off.
        mends.Add(new WidenMend(element.Id, Math.Ceiling(((2 * inside) + Spare) * 10) / 10));
        var places = pieces
            .SelectMany(work => Places(input, work.Part))
            .Select(place => Tight(place, bare, cover.Band.Compensation))
            .ToImmutableArray();
        if (cover.LiesAcross && places.All(IsSewable))
        {
            mends.Add(new NarrowerCoverMend(element.Id, places));
        }
        mends.Add(new RawEdgeMend(element.Id, places));
        return mends.ToImmutable();
    }

    /// <summary>The cover that has room at a place: as far outside the edge as before, inside as far as the middle.</summary>
    private static TightPlace Tight(NarrowPlace place, double bare, double compensation)
    {
        var inward = Math.Max(0, Math.Floor((place.Width - bare - (2 * compensation)) * 20) / 20);
        var width = Math.Max(StitchRanges.CoverWidth.Least, bare + inward);
        return new TightPlace(place.At, width, inward / width);
    }

    /// <summary>True where a cover that narrow still covers and holds.</summary>
    private static bool IsSewable(TightPlace place) =>
        place.Width >= StitchDefaults.NarrowestCover && place.InsideShare >= StitchRanges.CoverInsideShare.Least;

    /// <summary>Room left over where bands meet, mm.</summary>
    private const double Spare = 0.3;
}
