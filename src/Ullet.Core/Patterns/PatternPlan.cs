using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.Patterns;

/// <summary>What a pattern gives at one size.</summary>
/// <param name="Elements">Its elements from the bottom of the stack; fill-ins are not among them.</param>
/// <param name="Acts">Its steps in the order in which they work.</param>
/// <param name="Panels">The cloths that may be decorated.</param>
/// <param name="Places">Where fill-ins go.</param>
/// <param name="Cloths">What it is made of, with the sizes to cut.</param>
/// <param name="Advice">Stabiliser, needle, seam allowance and the like, a sentence each.</param>
/// <param name="Sewn">The box that its stitching takes, mm.</param>
public sealed record PatternPlan(
    ImmutableArray<Element> Elements,
    ImmutableArray<PatternAct> Acts,
    ImmutableArray<PatternPanel> Panels,
    ImmutableArray<FillInPlace> Places,
    ImmutableArray<ClothNeed> Cloths,
    ImmutableArray<string> Advice,
    Box Sewn
)
{
    /// <summary>The seam that closes it: stitching near it would be caught by the presser foot or the turn. Null for none.</summary>
    public string? ClosingSeamId { get; init; }

    /// <summary>Lines that are seen on the finished thing and that nothing is to lie on: topstitching along folds.</summary>
    public ImmutableArray<string> SeenLineIds { get; init; } = [];

    /// <summary>What is laid on the hoop's back, mm: it must lie within the hoop's inner ring. Null for nothing.</summary>
    public Box? Behind { get; init; }

    /// <summary>The order of pieces that it begins with; null for the project's usual one.</summary>
    public StitchOrder? Order { get; init; }

    /// <summary>Lines that keep clear of the fill-ins.</summary>
    public ImmutableArray<PatternKeepOut> KeepsOut { get; init; } = [];
}

/// <summary>A line of a pattern that keeps clear of what its fill-ins show.</summary>
/// <param name="ElementId">The line.</param>
/// <param name="By">By how much, mm.</param>
public sealed record PatternKeepOut(string ElementId, double By);

/// <summary>What a step of a pattern is for, as far as rules of order ask.</summary>
public enum ActRole
{
    Plain,
    HoopUp,
    PlaceZip,
    LayZip,
    TackZip,
    JoinTape,
    OpenZip,

    /// <summary>The end of the tape is joined at which the slider came off its end.</summary>
    JoinOpenEnd,

    /// <summary>The layer is laid that closes the work.</summary>
    LayClosing,
    ClosingSeam,

    /// <summary>A layer is laid that a seam after the closing seam joins.</summary>
    LaySecond,

    /// <summary>A seam after the closing seam.</summary>
    SecondSeam,
    Finish,
}

/// <summary>One step of a pattern.</summary>
public abstract record PatternAct(StepKey Key, ActRole Role);

/// <summary>A step that the machine sews.</summary>
/// <param name="Key">The step: an element's stage.</param>
/// <param name="Role">What it is for.</param>
public sealed record SewAct(StepKey Key, ActRole Role = ActRole.Plain) : PatternAct(Key, Role)
{
    /// <summary>True when the pattern holds without it: quilting, a line along a fold.</summary>
    public bool IsOptional { get; init; }

    /// <summary>The only stage of a line.</summary>
    internal static SewAct Line(PatternPart part, ActRole role = ActRole.Plain) => new(part.Line, role);
}

/// <summary>Work for hands.</summary>
/// <param name="Work">What they do.</param>
/// <param name="Role">What it is for.</param>
public sealed record HandsAct(HandWork Work, ActRole Role = ActRole.Plain)
    : PatternAct(new StepKey(OwnerId, Work.Name, 0), Role)
{
    /// <summary>What it is about; null for the layers that it lays or changes.</summary>
    public string? Subject { get; init; }

    /// <summary>Owns the hand steps of a pattern.</summary>
    public const string OwnerId = "p";
}

/// <summary>A cloth that may be decorated.</summary>
/// <param name="LayerId">Its layer.</param>
/// <param name="Name">What it is called.</param>
/// <param name="ReadyAfter">The step after which it lies as it will stay.</param>
/// <param name="Area">What it takes then, mm.</param>
public sealed record PatternPanel(string LayerId, string Name, StepKey ReadyAfter, ImmutableArray<Region> Area);

/// <summary>Where a fill-in goes.</summary>
/// <param name="FillInId">Which fill-in.</param>
/// <param name="ElementId">The element that shows it.</param>
/// <param name="Room">The room that it may take, mm.</param>
/// <param name="ClothId">The cloth that it lies on; letters made of cloth begin with it.</param>
/// <param name="ThreadId">The thread that it is sewn with; null for the project's.</param>
public sealed record FillInPlace(string FillInId, string ElementId, Box Room, string ClothId, string? ThreadId = null);

/// <summary>A cloth that a pattern is made of.</summary>
/// <param name="Cloth">As it begins; the user's own takes its place under the same id.</param>
/// <param name="Use">What it becomes: "front panel".</param>
/// <param name="Width">Least size to cut, mm; 0 for what is hooped.</param>
/// <param name="Height">Least size to cut, mm.</param>
/// <param name="Count">How many.</param>
/// <param name="Advice">What else to know, or null.</param>
public sealed record ClothNeed(
    Cloth Cloth,
    string Use,
    double Width,
    double Height,
    int Count = 1,
    string? Advice = null
)
{
    /// <summary>Seams and folds on it, mm from its middle.</summary>
    public ImmutableArray<NeedLine> Lines { get; init; } = [];

    /// <summary>Names its cut shape; stays the same at every size.</summary>
    public string ShapeId => $"{Cloth.Id}-{Use.Replace(' ', '-')}";
}

/// <summary>A line drawn on a layer that is cut.</summary>
/// <param name="Role">A seam is drawn, a fold is scored.</param>
/// <param name="Name">What it is.</param>
/// <param name="Curves">mm from the layer's middle.</param>
public sealed record NeedLine(CutRole Role, string Name, ImmutableArray<Curve> Curves);
