using Ullet.Core.Applique;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Does the cover as sewn hide the cut edge wherever it may end up, and bite enough inside it?</summary>
internal sealed class EdgeCoveredCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var group in input.Pieces.GroupBy(work => work.Part.Element.Id, StringComparer.Ordinal))
        {
            var pieces = group.ToList();
            var failing = pieces
                .Select(work => (Work: work, Match: EdgeMatch.Of(work)))
                .Where(pair => pair.Match is { Holds: false })
                .ToList();
            if (failing.Count > 0)
            {
                var (work, match) = failing.MinBy(pair => pair.Match!.Spare(pair.Match.Worst!));
                yield return Finding(work, match!, Mend(pieces));
            }
        }
    }

    private static Finding Finding(PieceAtWork work, EdgeMatch match, Mend? mend)
    {
        var (piece, place) = (work.Part.Element, match.Worst!);
        var cover = CoverChoice.Of(piece, work.Cloth);
        if (place.Beyond < 0 && place.Beyond <= place.Bite - match.Wanted)
        {
            return new Finding(
                "edge-peeps-out",
                FindingLevel.Stop,
                piece.Id,
                place.At,
                $"The edge of {work.Part.Name} may peep out from under its cover by {LengthText.Mm(-place.Beyond.Value)}: the "
                    + $"cover reaches {LengthText.Mm(cover.Outside)} outside the outline.",
                mend
            );
        }
        return new Finding(
            "bite-too-small",
            FindingLevel.Warn,
            piece.Id,
            place.At,
            $"The {AppliqueMethods.Of(piece.Method).StageWords(StageRole.Cover)} of {work.Part.Name} may hold only "
                + $"{LengthText.Mm(Math.Max(place.Bite, 0))} of its edge; {LengthText.Mm(match.Wanted)} is wanted on "
                + $"{work.Cloth.Name}.",
            mend
        );
    }

    private static EdgeMatchMend? Mend(List<PieceAtWork> pieces)
    {
        var mends = EdgeMends.Of(pieces);
        return mends.IsEmpty ? null : new EdgeMatchMend(pieces[0].Part.Element.Id, mends[0]);
    }
}
