using Ullet.Core.Applique;
using Ullet.Core.Evaluation;
using Ullet.Core.Findings;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Server.Scenes;

/// <summary>What is asked of one element alone: nodes, stretches of edge, edge match.</summary>
internal static class FormDtos
{
    /// <summary>Numbers set for a stretch lie at most this far from its middle, mm.</summary>
    private const double Near = 1;

    internal static FormDto Of(Element element, Evaluated evaluated, Evaluator evaluator)
    {
        var own = element is AppliqueElement cloth ? cloth.Stages.Cover.Stretches : [];
        var stretches = evaluator
            .StretchesOf(evaluated, element.Id)
            .Select(stretch =>
            {
                var middle = stretch.Middle;
                return new StretchDto(
                    PathText.Of(stretch.Points),
                    middle.X,
                    middle.Y,
                    stretch.Length,
                    stretch.IsCovered,
                    stretch.IsByHand,
                    own.FirstOrDefault(each => BoxFit.OnWall(element.Box, each.At).DistanceTo(middle) < Near)
                );
            });
        return new FormDto(NodeLines.Of(element) ?? [], [.. stretches], Match([.. evaluated.PiecesOf(element.Id)]));
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
            [.. match.Margins.Select(margin => Margin(margin, match))],
            Margin(match.Worst!, match),
            [
                .. matches
                    .Where(pair => pair.Work != worst)
                    .SelectMany(pair => pair.Match.Margins.Select(margin => Margin(margin, pair.Match))),
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

    private static MarginDto Margin(EdgeMargin margin, EdgeMatch match) =>
        new(margin.At.X, margin.At.Y, margin.Ring, margin.Along, margin.Bite, margin.Beyond, match.Spare(margin));
}
