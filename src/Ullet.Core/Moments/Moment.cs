using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.Moments;

/// <summary>From where the work is looked at.</summary>
public enum MomentView
{
    /// <summary>The hoop from the front, as it stands under the needle.</summary>
    Front,

    /// <summary>The hoop from the back: turned over about its upright middle.</summary>
    Back,

    /// <summary>Out of the hoop, the front up.</summary>
    Out,

    /// <summary>Out of the hoop, turned inside out: the lining is outside.</summary>
    OutInside,
}

/// <summary>What hands or machine do at one step, as a picture has to show it; mm about the field's centre, as seen from the front.</summary>
/// <param name="Key">The step.</param>
/// <param name="View">From where it is looked at; what is seen from the back is mirrored only when it is drawn.</param>
/// <param name="Field">The sewing field.</param>
/// <param name="Focus">What it is about; empty where it is about the whole.</param>
/// <param name="Parts">What is seen, one over the other.</param>
/// <param name="Stack">The layers at its middle, from the one farthest from the eye to the nearest.</param>
public sealed record Moment(
    StepKey Key,
    MomentView View,
    Box Field,
    Box Focus,
    ImmutableArray<MomentPart> Parts,
    ImmutableArray<StackedLayer> Stack
)
{
    /// <summary>True where the eye looks at the back.</summary>
    public bool IsMirrored => View is MomentView.Back or MomentView.OutInside;

    /// <summary>The way through which the work is turned, seen from the side; null for any other step.</summary>
    public TurningSection? Section { get; init; }
}

/// <summary>A layer as it lies over the others.</summary>
/// <param name="LayerId">The layer.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Colour">Its cloth's colour, #rrggbb.</param>
/// <param name="Face">Which of its faces the eye would see.</param>
/// <param name="IsNew">True for what the step lays or changes.</param>
/// <param name="Runs">Where a cut through the middle of the picture meets it, mm along the cut.</param>
public sealed record StackedLayer(
    string LayerId,
    string Name,
    string Colour,
    SeenFace Face,
    bool IsNew,
    ImmutableArray<(double From, double To)> Runs
);

/// <summary>Which face of a layer is seen.</summary>
public enum SeenFace
{
    /// <summary>The cloth has no right side: stabiliser, filling.</summary>
    Either,

    /// <summary>The right side.</summary>
    Right,

    /// <summary>The wrong side.</summary>
    Wrong,
}

/// <summary>Something that is seen at a moment.</summary>
/// <param name="IsNew">True for what the step is about: drawn strong. The rest is pale.</param>
public abstract record MomentPart(bool IsNew);

/// <summary>A layer, as far as it is not hidden.</summary>
/// <param name="Layer">The layer as it lies.</param>
/// <param name="Face">The face that is seen.</param>
/// <param name="IsNew">True for what the step lays or changes.</param>
/// <param name="IsHooped">True for what is held by the hoop's frame; all else lies over the frame, or inside it.</param>
public sealed record LayerPart(PresentLayer Layer, SeenFace Face, bool IsNew, bool IsHooped = false)
    : MomentPart(IsNew);

/// <summary>Thread of a step.</summary>
/// <param name="Step">The step that sewed it.</param>
/// <param name="Lines">Its stitches, mm.</param>
/// <param name="Colour">The thread's colour, #rrggbb.</param>
/// <param name="IsNew">True while it is sewn.</param>
public sealed record ThreadPart(StepKey Step, ImmutableArray<ImmutableArray<Point>> Lines, string Colour, bool IsNew)
    : MomentPart(IsNew);

/// <summary>A line that something is held against.</summary>
/// <param name="Line">The step whose line it is; null for a layer's edge.</param>
/// <param name="Lines">Its places, mm.</param>
public sealed record AlignedPart(StepKey? Line, ImmutableArray<ImmutableArray<Point>> Lines) : MomentPart(true);

/// <summary>The stretch of a laid layer's edge that lies on the line it is held against.</summary>
/// <param name="LayerId">The layer.</param>
/// <param name="Lines">The stretch, mm.</param>
/// <param name="IsPressed">True where the edge is pressed under, false where it is raw.</param>
public sealed record EdgePart(string LayerId, ImmutableArray<ImmutableArray<Point>> Lines, bool IsPressed)
    : MomentPart(true);

/// <summary>What of a laid layer would reach over the hoop's frame: it is rolled up inside it.</summary>
/// <param name="LayerId">The layer.</param>
/// <param name="From">One end of the roll, mm.</param>
/// <param name="To">The other.</param>
public sealed record RolledPart(string LayerId, Point From, Point To) : MomentPart(true);

/// <summary>A layer that is folded over.</summary>
/// <param name="LayerId">The layer.</param>
/// <param name="Before">What it took, mm.</param>
/// <param name="From">One end of the fold, mm.</param>
/// <param name="To">The other.</param>
/// <param name="Start">Where the arrow over the fold begins, mm.</param>
/// <param name="End">Where it points to.</param>
public sealed record FoldPart(
    string LayerId,
    ImmutableArray<Region> Before,
    Point From,
    Point To,
    Point Start,
    Point End
) : MomentPart(true);

/// <summary>A strip of tape.</summary>
/// <param name="LayerId">What it holds.</param>
/// <param name="Strip">Its four corners, mm.</param>
public sealed record TapePart(string LayerId, ImmutableArray<Point> Strip) : MomentPart(true);

/// <summary>A zip's teeth, its open part and its slider.</summary>
/// <param name="LayerId">The zip.</param>
/// <param name="Teeth">The rows of teeth, mm.</param>
/// <param name="Slit">What can be looked through, mm.</param>
/// <param name="Slider">The slider with its puller, mm.</param>
/// <param name="IsNew">True where the step is about the zip.</param>
public sealed record ZipPart(
    string LayerId,
    ImmutableArray<ImmutableArray<Point>> Teeth,
    ImmutableArray<Region> Slit,
    ImmutableArray<Region> Slider,
    bool IsNew
) : MomentPart(IsNew);

/// <summary>The way of a slider that is pulled.</summary>
/// <param name="From">Where it stood, mm.</param>
/// <param name="To">Where it stands then.</param>
public sealed record PullPart(Point From, Point To) : MomentPart(true);

/// <summary>Where scissors go.</summary>
/// <param name="LayerId">The layer that is cut; empty for the whole work.</param>
/// <param name="Lines">Their line, mm.</param>
/// <param name="Away">What falls away, mm.</param>
public sealed record ScissorsPart(
    string LayerId,
    ImmutableArray<ImmutableArray<Point>> Lines,
    ImmutableArray<Region> Away
) : MomentPart(true);

/// <summary>A layer that is taken out.</summary>
/// <param name="LayerId">The layer.</param>
/// <param name="Was">What it took, mm.</param>
public sealed record TakenOutPart(string LayerId, ImmutableArray<Region> Was) : MomentPart(true);

/// <summary>An opening that is left in a seam.</summary>
/// <param name="From">One end, mm.</param>
/// <param name="To">The other.</param>
/// <param name="IsNew">True where the work is turned through it now.</param>
public sealed record GapPart(Point From, Point To, bool IsNew) : MomentPart(IsNew)
{
    /// <summary>How long it is, mm.</summary>
    public double Length => From.DistanceTo(To);
}

/// <summary>The way through which the work is turned, from outside, mm.</summary>
public sealed record WayPart(ImmutableArray<Point> Way) : MomentPart(true);

/// <summary>Where one of several orders lies.</summary>
/// <param name="Number">The order's number.</param>
/// <param name="At">Where it is written, mm.</param>
/// <param name="Width">How wide the order is, mm.</param>
public sealed record SeatPart(string Number, Point At, double Width) : MomentPart(false);

/// <summary>The number of one of several equal pieces.</summary>
/// <param name="Number">From 1.</param>
/// <param name="At">Where, mm.</param>
public sealed record NumberPart(int Number, Point At) : MomentPart(true);
