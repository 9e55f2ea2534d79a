using Ullet.Core.Applique;
using Ullet.Core.Evaluation;
using Ullet.Core.Findings;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Server.Scenes.Elements;

/// <summary>What is asked of one element alone: nodes, stretches of edge, edge match.</summary>
internal static class DetailDtos
{
    internal static DetailDto Of(Element element, Evaluated evaluated, Evaluator evaluator)
    {
        var own = element.SettingsOf<ClothMaking>()?.Stages.Cover.Stretches ?? [];
        var stretches = evaluator
            .StretchesOf(evaluated, element.Id)
            .Select(stretch =>
            {
                // Numbers of its own belong to the stretch that they are sewn on, and name it by their place.
                var at = StretchNumbers.IndexOn(
                    [.. own.Select(each => BoxFit.OnWall(element.Box, each.At))],
                    stretch.Points
                );
                var place = at < 0 ? stretch.Middle : BoxFit.OnWall(element.Box, own[at].At);
                return new StretchDto(
                    PathText.Of(stretch.Points),
                    place.X,
                    place.Y,
                    stretch.Length,
                    stretch.IsCovered,
                    stretch.IsByHand,
                    at < 0 ? null : own[at]
                );
            });
        return new DetailDto(NodeLines.Of(element) ?? [], [.. stretches], Match([.. evaluated.PiecesOf(element.Id)]));
    }

    private static EdgeMatchDto? Match(List<PieceAtWork> pieces)
    {
        var matches = pieces
            .Select(work => (Work: work, Match: EdgeMatch.Of(work)))
            .Where(pair => pair.Match is not null)
            .Select(pair => (pair.Work, Match: pair.Match!))
            .ToList();
        if (matches.Count == 0)
        {
            return null;
        }
        var (worst, match) = matches.MinBy(pair => pair.Match.Spare(pair.Match.Worst!));
        return new EdgeMatchDto(
            worst.Part.Name,
            match.Wanted,
            match.Holds,
            EdgeMatchWords.Of(worst, match),
            [.. match.Margins.Select(margin => Margin(margin, match, worst.Part.Ordinal))],
            match.Margins.IndexOf(match.Worst!),
            [.. matches.Select(pair => Margin(pair.Match.Worst!, pair.Match, pair.Work.Part.Ordinal))],
            [
                .. matches
                    .Where(pair => pair.Work != worst)
                    .SelectMany(pair =>
                        pair.Match.Margins.Select(margin => Margin(margin, pair.Match, pair.Work.Part.Ordinal))
                    ),
            ],
            match.Holds
                ? []
                :
                [
                    .. EdgeMends
                        .Of(pieces)
                        .Select(mend => new EdgeMendDto(EdgeMatchMend.Words(mend), mend.Number, mend.Value)),
                ]
        );
    }

    private static MarginDto Margin(EdgeMargin margin, EdgeMatch match, int ordinal) =>
        new(
            margin.At.X,
            margin.At.Y,
            margin.Ring,
            margin.Along,
            margin.Bite,
            margin.Beyond,
            match.Spare(margin),
            ordinal
        );
}
