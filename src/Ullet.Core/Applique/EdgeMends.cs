using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Applique;

/// <summary>A change of one number of a piece that makes its edge match hold.</summary>
/// <param name="Number">Which number.</param>
/// <param name="Value">What it becomes: mm, or a share.</param>
public sealed record EdgeMend(EdgeNumber Number, double Value);

/// <summary>The numbers that mend an edge match.</summary>
public enum EdgeNumber
{
    CoverWidth,
    InsideShare,
    CutAllowance,
    LineInset,
}

/// <summary>Finds the smallest change of each number that would make an edge match hold.</summary>
public static class EdgeMends
{
    private const double WidthStep = 0.1;
    private const double ShareStep = 0.01;
    private const double AllowanceStep = 0.1;

    /// <summary>At most one for each number, the one that changes least of its range first; none where no number alone can mend it.</summary>
    public static ImmutableArray<EdgeMend> Of(IReadOnlyList<PieceAtWork> pieces)
    {
        var piece = pieces[0].Part.Element;
        var cover = CoverChoice.Of(piece, pieces[0].Cloth);
        var method = AppliqueMethods.Of(piece.Method);
        var places = pieces.Select(work => new EdgePlaces(work)).ToList();
        var mends = new List<(EdgeMend Mend, double Change)>();
        void Try(EdgeNumber number, double now, (double Least, double Most) range, double step)
        {
            if (Nearest(places, number, now, range, step) is { } value)
            {
                mends.Add((new EdgeMend(number, value), Math.Abs(value - now) / (range.Most - range.Least)));
            }
        }
        if (cover.LiesAcross)
        {
            Try(EdgeNumber.CoverWidth, cover.Band.Width, StitchRanges.CoverWidth, WidthStep);
            var share = method.CoverLiesOnGround ? 1 - cover.Band.InsideShare : cover.Band.InsideShare;
            Try(EdgeNumber.InsideShare, share, StitchRanges.CoverInsideShare, ShareStep);
        }
        else
        {
            Try(EdgeNumber.LineInset, Math.Abs(cover.Inset), StitchRanges.BeanInset, WidthStep);
        }
        if (method.CutsToSize)
        {
            Try(EdgeNumber.CutAllowance, piece.CutAllowance ?? 0, StitchRanges.CutAllowance, AllowanceStep);
        }
        return [.. mends.OrderBy(mend => mend.Change).Select(mend => mend.Mend)];
    }

    /// <summary>The element with a number changed.</summary>
    public static AppliqueElement With(AppliqueElement piece, EdgeMend mend)
    {
        var cover = piece.Stages.Cover;
        return mend.Number switch
        {
            EdgeNumber.CoverWidth => WithCover(piece, cover with { Width = mend.Value }),
            EdgeNumber.InsideShare => WithCover(piece, cover with { InsideShare = mend.Value }),
            EdgeNumber.LineInset => WithCover(piece, cover with { Inset = mend.Value }),
            EdgeNumber.CutAllowance => piece.With(piece.Making with { CutAllowance = mend.Value }),
        };
    }

    private static AppliqueElement WithCover(AppliqueElement piece, CoverSettings cover) =>
        piece.With(piece.Making with { Stages = piece.Stages with { Cover = cover } });

    /// <summary>The value nearest to the present one under which every piece holds; null when there is none.</summary>
    private static double? Nearest(
        List<EdgePlaces> places,
        EdgeNumber number,
        double now,
        (double Least, double Most) range,
        double step
    )
    {
        var steps = (int)Math.Ceiling((range.Most - range.Least) / step);
        for (var i = 1; i <= steps; i++)
        {
            foreach (var value in new[] { Stepped(now, i, step), Stepped(now, -i, step) })
            {
                Budget.Spend();
                if (value < range.Least - 1e-9 || value > range.Most + 1e-9)
                {
                    continue;
                }
                var tried = new EdgeMend(number, value);
                if (places.All(each => EdgeMatch.Of(each, With(each.Work.Part.Element, tried)) is not { Holds: false }))
                {
                    return value;
                }
            }
        }
        return null;
    }

    private static double Stepped(double now, int steps, double step) =>
        Math.Round((Math.Round(now / step) + steps) * step, 3);
}
