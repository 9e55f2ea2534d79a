using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>How much the cover holds and hides at a place of the cut edge, once everything that may shift it is counted, mm.</summary>
/// <param name="At">The place on the outline.</param>
/// <param name="Ring">The ring's number, part by part, shell before holes.</param>
/// <param name="Along">Its distance along the ring from its first corner.</param>
/// <param name="Bite">Cover inside the edge when the edge ends up as far inwards as it may.</param>
/// <param name="Beyond">Cover outside the edge when it ends up as far outwards as it may; null for a line that hides none.</param>
public sealed record EdgeMargin(Point At, int Ring, double Along, double Bite, double? Beyond);

/// <summary>The edge match of a piece: does its cover, as sewn, hold and hide the cut edge wherever that may lie?</summary>
/// <param name="Wanted">Bite wanted on its cloth, mm.</param>
/// <param name="Margins">Places along its visible edge.</param>
public sealed record EdgeMatch(double Wanted, ImmutableArray<EdgeMargin> Margins)
{
    /// <summary>The teeth of a blanket cover bite at least this, mm.</summary>
    public const double BlanketBite = 2.0;

    private const double Hair = 1e-9;

    /// <summary>The place where least is left of what is wanted; null without places.</summary>
    public EdgeMargin? Worst => Margins.MinBy(Spare);

    /// <summary>True when bite and cover beyond the edge suffice everywhere.</summary>
    public bool Holds => Worst is null || Spare(Worst) >= -Hair;

    /// <summary>How much more there is than wanted at a place, mm; below 0 where something is missing.</summary>
    public double Spare(EdgeMargin margin) => Math.Min(margin.Bite - Wanted, margin.Beyond ?? double.MaxValue);

    /// <summary>The match of a piece as it stands; null without a cover or a visible edge.</summary>
    public static EdgeMatch? Of(PieceAtWork work) => Of(new EdgePlaces(work), work.Part.Element);

    /// <summary>The match of a piece if its element were set otherwise.</summary>
    internal static EdgeMatch? Of(EdgePlaces places, AppliqueElement piece)
    {
        var work = places.Work;
        if (piece.Stages.Cover.Off || work.IsBuried || places.All.IsEmpty)
        {
            return null;
        }
        var cover = CoverChoice.Of(piece, work.Cloth);
        var preset = ClothPreset.Of(work.Cloth);
        var method = AppliqueMethods.Of(piece.Method);
        var shift = method.Shift(Math.Abs(ClothStages.TackInset(piece, work.Cloth)), piece, work.Exact);
        var drawIn = work.Exact.DrawIn ?? preset.DrawIn;
        var drift = Leaves(piece) ? work.Drift.Length : 0;
        var margins = ImmutableArray.CreateBuilder<EdgeMargin>(places.All.Length);
        foreach (var place in places.All)
        {
            Budget.Spend();
            var (inside, outside) = Sides(cover, place.Line);
            if (method.CoverLiesOnGround)
            {
                // The cut edge is the ground's: what lies on the ground holds it, what lies in the window hides it.
                (inside, outside) = (outside, inside);
            }
            var drawn = method.CoverLiesOnGround ? 0 : drawIn * place.FromMiddle;
            margins.Add(
                new EdgeMargin(
                    place.At,
                    place.Ring,
                    place.Along,
                    inside - shift.Inwards - drawn - drift,
                    cover.LiesAcross ? outside - shift.Outwards - drift : null
                )
            );
        }
        var wanted = cover.Kind == CoverKind.Blanket ? BlanketBite : preset.Bite;
        return new EdgeMatch(wanted, margins.MoveToImmutable());
    }

    /// <summary>True where the cloth is cut along the outline as drawn, which stitches do not follow wherever it is rough; hands that
    /// cut along a sewn line follow that.</summary>
    internal static bool Leaves(AppliqueElement piece) =>
        AppliqueMethods.Of(piece.Method) is { CutsToSize: true, CutAllowance: not null } && !piece.Making.CutsAsSewn;

    private static (double Inside, double Outside) Sides(CoverNumbers cover, ReadOnlyMemory<Point> line)
    {
        if (!cover.LiesAcross || cover.Band.Stretches.IsEmpty)
        {
            return (cover.Inside, cover.Outside);
        }
        var own = cover with { Band = cover.Band.At(StretchNumbers.Of(cover.Band.Stretches, line.Span)) };
        return (own.Inside, own.Outside);
    }
}
