using System.Collections.Immutable;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Recovery;

/// <summary>Tells a method from where the stages of a piece lie, and from what hands did where that is known.</summary>
internal static class MethodTold
{
    /// <summary>The method of a piece with a placement.</summary>
    /// <param name="tackInset">How far inside the outline its cloth is held, mm; null where nothing holds it.</param>
    /// <param name="cover">Its cover; null for none.</param>
    /// <param name="hands">What hands did between its stages; nulls where that is not known.</param>
    internal static Method Of(double? tackInset, RecoveredCover? cover, ImmutableArray<HandsBetween?> hands)
    {
        if (cover is { Kind: CoverKind.RawEdge })
        {
            return Method.RawEdge;
        }
        if (hands.Any(each => each is not null))
        {
            return hands.Any(each => each is { Trims: true }) ? Method.TrimInTheHoop : Method.CutBeforehand;
        }
        if (tackInset is not { } inset)
        {
            return Method.CutBeforehand;
        }
        var within = cover is { Kind: CoverKind.Satin or CoverKind.Zigzag or CoverKind.Blanket }
            ? cover.Width - cover.Outside - StitchDefaults.PullCompensation - StitchDefaults.TackUnderCover
            : double.PositiveInfinity;
        var (trimmed, cut) = (
            Math.Min(StitchDefaults.TackInsetTrimmed, within),
            Math.Min(StitchDefaults.TackInsetCut, within)
        );
        return Math.Abs(inset - cut) + 0.05 < Math.Abs(inset - trimmed) ? Method.CutBeforehand : Method.TrimInTheHoop;
    }

    /// <summary>True where an outline run lies outside its outline, round a window, and false where it lies inside: the cover has its
    /// usual share on the cloth's side then.</summary>
    internal static bool IsBeneath(RecoveredCover cover)
    {
        if (cover.Kind is CoverKind.Bean or CoverKind.RawEdge)
        {
            return cover.Outside > 0;
        }
        var inset = InsetOf(cover);
        var (inside, outside) = (cover.Width - cover.Outside, cover.Outside);
        var usual = UsualShare(cover.Kind);
        return Math.Abs(((outside + inset) / cover.Width) - usual) < Math.Abs(((inside + inset) / cover.Width) - usual);
    }

    /// <summary>How far an outline run lies from its outline: as far as usual, but under the cover.</summary>
    internal static double InsetOf(RecoveredCover cover)
    {
        if (cover.Kind is CoverKind.Bean or CoverKind.RawEdge)
        {
            return StitchDefaults.TackInsetTrimmed;
        }
        // As far as the cover reaches beyond its outline on that side; its usual share tells it without knowing the outline.
        var within = (cover.Width * UsualShare(cover.Kind)) - StitchDefaults.TackUnderCover;
        return Math.Max(0, Math.Min(StitchDefaults.TackInsetTrimmed, within));
    }

    /// <summary>The share of a cover that lies on its cloth's side of the outline where nobody set another.</summary>
    internal static double UsualShare(CoverKind kind) =>
        kind switch
        {
            CoverKind.Satin or CoverKind.Zigzag => StitchDefaults.CoverInsideShare,
            CoverKind.Blanket => StitchDefaults.BlanketBite
                / (StitchDefaults.BlanketBite + StitchDefaults.BlanketSpine),
            CoverKind.Motif => StitchDefaults.MotifInsideShare,
            CoverKind.Bean or CoverKind.RawEdge => 1,
        };
}
