namespace Ullet.Core.Stitches;

/// <summary>The numbers of stitching that hold where nobody set another, mm. Source: the trade's usual settings for 40-weight thread.</summary>
public static class StitchDefaults
{
    /// <summary>Running stitch, placement and tack-down.</summary>
    public const double RunLength = 2.5;

    /// <summary>Runs along letters: short enough for their curves.</summary>
    public const double FineRunLength = 2.0;

    /// <summary>Narrower columns are sewn as a run, compensated.</summary>
    public const double NarrowestColumn = 0.9;

    /// <summary>Wider columns are sewn in rows, compensated.</summary>
    public const double WidestColumn = 10.0;

    /// <summary>Basting: long enough to be drawn out again.</summary>
    public const double BastingLength = 6;

    /// <summary>Tack-down inside the outline where scissors trim along it: the blade needs a line to follow inside the cover.</summary>
    public const double TackInsetTrimmed = 0.8;

    /// <summary>Tack-down inside the outline of a piece cut beforehand: far enough in to hold a laid edge.</summary>
    public const double TackInsetCut = 1.4;

    /// <summary>Least distance of the tack-down from the cover's inner edge, so that it never shows.</summary>
    public const double TackUnderCover = 0.4;

    /// <summary>Width of the cover as sewn.</summary>
    public const double CoverWidth = 3.5;

    /// <summary>Width of 40-weight thread as it lies.</summary>
    public const double ThreadWidth = 0.40;

    /// <summary>Thread lies side by side at this distance.</summary>
    public const double CoverSpacing = ThreadWidth;

    /// <summary>Share of the cover inside the outline.</summary>
    public const double CoverInsideShare = 0.6;

    /// <summary>Added on each side, because thread tension draws the edges in.</summary>
    public const double PullCompensation = 0.2;

    /// <summary>Width of a zigzag cover.</summary>
    public const double ZigzagWidth = 3.0;

    /// <summary>Spacing of a zigzag cover.</summary>
    public const double ZigzagSpacing = 1.0;

    /// <summary>How far the teeth of a blanket cover bite inside the outline.</summary>
    public const double BlanketBite = 3.0;

    /// <summary>The spine of a blanket cover lies this far outside the outline: it clears the edge of a piece that was cut and
    /// laid a little large.</summary>
    public const double BlanketSpine = 0.8;

    /// <summary>Distance of the teeth of a blanket cover.</summary>
    public const double BlanketSpacing = 3.0;

    /// <summary>Width of a motif cover.</summary>
    public const double MotifWidth = 4.0;

    /// <summary>Share of a motif cover inside the outline.</summary>
    public const double MotifInsideShare = 0.5;

    /// <summary>A bean cover runs this far inside the outline.</summary>
    public const double BeanInset = 1.5;

    /// <summary>Every stitch of a bean line is sewn this often.</summary>
    public const int BeanPasses = 3;

    /// <summary>The line that holds a raw edge runs this far inside it.</summary>
    public const double RawEdgeInset = 3.0;

    /// <summary>Width and spacing of a zigzag tack-down, and bite and spacing of a blanket one.</summary>
    public const double TackWidth = 2.0;

    /// <summary>A wide tack-down keeps this far from the inner side of the cover.</summary>
    public const double TackClear = 0.3;

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

    /// <summary>Holes where strokes crowd keep at least this share of the spacing between them.</summary>
    public const double CrowdedShare = 0.35;

    /// <summary>Most needle points of a cover in a disc of 0.5 mm radius, on cloths that hold.</summary>
    public const int NeedleLimit = 12;

    /// <summary>Lock stitches at each end of a thread section.</summary>
    public const int LockCount = 3;

    public const double LockLength = 0.7;

    /// <summary>Travel over this length is trimmed.</summary>
    public const double TrimOver = 5.0;

    /// <summary>Longer strokes are split.</summary>
    public const double LongestStitch = 7.0;

    /// <summary>No machine sews a longer stitch.</summary>
    public const double NeverLonger = 12.0;

    /// <summary>Shorter stitches are merged, locks excepted.</summary>
    public const double ShortestStitch = 0.4;

    /// <summary>How far a run may leave its curve between two needle points; within the 0.15 that is promised.</summary>
    public const double RunChordError = 0.1;
}
