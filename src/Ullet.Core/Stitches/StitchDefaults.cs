namespace Ullet.Core.Stitches;

/// <summary>The numbers of stitching that hold where nobody set another, mm. Source: the trade's usual settings for 40-weight thread.</summary>
public static class StitchDefaults
{
    /// <summary>Running stitch, placement and tack-down.</summary>
    public const double RunLength = 2.5;

    /// <summary>Tack-down inside the outline where scissors trim along it: the blade needs a line to follow inside the cover.</summary>
    public const double TackInsetTrimmed = 0.8;

    /// <summary>Tack-down inside the outline of a piece cut beforehand: far enough in to hold a laid edge.</summary>
    public const double TackInsetCut = 1.4;

    /// <summary>Least distance of the tack-down from the cover's inner edge, so that it never shows.</summary>
    public const double TackUnderCover = 0.4;

    /// <summary>Width of the cover as sewn.</summary>
    public const double CoverWidth = 3.5;

    /// <summary>0.40 mm thread lies side by side at this distance.</summary>
    public const double CoverSpacing = 0.40;

    /// <summary>Share of the cover inside the outline.</summary>
    public const double CoverInsideShare = 0.6;

    /// <summary>Added on each side, because thread tension draws the edges in.</summary>
    public const double PullCompensation = 0.2;

    /// <summary>How far a closed cover runs on over its start.</summary>
    public const double ClosingOverlap = 1.5;

    /// <summary>Where two edges leave a cover less than this, the place is a warning and no tip.</summary>
    public const double NarrowestCover = 1.5;

    /// <summary>Edge runs of the underlay lie this far inside the band.</summary>
    public const double UnderlayInset = 0.5;

    /// <summary>From this width on the cover gets edge runs under it.</summary>
    public const double EdgeRunsFrom = 2.5;

    /// <summary>From this width on the cover gets a zigzag under it.</summary>
    public const double ZigzagFrom = 4.0;

    /// <summary>Spacing of the zigzag underlay.</summary>
    public const double UnderlayZigzagSpacing = 2.0;

    /// <summary>Holes on a crowded side nearer than this share of the spacing make short strokes.</summary>
    public const double CrowdedShare = 0.55;

    /// <summary>Lock stitches at each end of a thread section.</summary>
    public const int LockCount = 3;

    public const double LockLength = 0.7;

    /// <summary>Travel over this length is trimmed.</summary>
    public const double TrimOver = 5.0;

    /// <summary>Longer strokes are split.</summary>
    public const double LongestStitch = 7.0;

    /// <summary>Shorter stitches are merged, locks excepted.</summary>
    public const double ShortestStitch = 0.4;

    /// <summary>How far a run may leave its curve between two needle points; within the 0.15 that is promised.</summary>
    public const double RunChordError = 0.1;
}

/// <summary>The ranges in which stitch numbers are taken from a person, mm.</summary>
public static class StitchRanges
{
    public static readonly (double Least, double Most) RunLength = (1.0, 7.0);
    public static readonly (double Least, double Most) TackInset = (0.0, 6.0);
    public static readonly (double Least, double Most) CoverWidth = (2.0, 7.0);
    public static readonly (double Least, double Most) CoverSpacing = (0.30, 0.80);
    public static readonly (double Least, double Most) CoverInsideShare = (0.3, 0.9);
    public static readonly (double Least, double Most) PullCompensation = (0.0, 1.0);
}
