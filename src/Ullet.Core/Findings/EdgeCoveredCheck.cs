using System.Collections.Immutable;
using Ullet.Core.Applique;

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
                yield return Finding(work, match!, Mends(pieces));
            }
        }
    }

    private static Finding Finding(PieceAtWork work, EdgeMatch match, ImmutableArray<Mend> mends)
    {
        var peeps = EdgeMatchWords.PeepsOut(match);
        return new Finding(
            peeps ? "edge-peeps-out" : "bite-too-small",
            peeps ? FindingLevel.Stop : FindingLevel.Warn,
            work.Part.Element.Id,
            match.Worst!.At,
            EdgeMatchWords.Of(work, match)
        )
        {
            OtherMends = mends,
        };
    }

    private static ImmutableArray<Mend> Mends(List<PieceAtWork> pieces) =>
        [.. EdgeMends.Of(pieces).Select(change => new EdgeMatchMend(pieces[0].Part.Element.Id, change))];
}
