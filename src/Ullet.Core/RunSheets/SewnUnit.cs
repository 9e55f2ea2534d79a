using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;

namespace Ullet.Core.RunSheets;

/// <summary>What a step of a piece is for, in the order in which all methods have them.</summary>
internal enum UnitPhase
{
    Placement,
    Lay,
    TackDown,
    Trim,
    Cover,
}

/// <summary>A step with its phase.</summary>
internal sealed record UnitAct(UnitPhase Phase, RunStep Step);

/// <summary>A piece of cloth or a line with its steps.</summary>
/// <param name="Work">The piece; null for a line.</param>
/// <param name="Outline">What it takes on the wall, mm.</param>
/// <param name="Acts">Its steps in its method's order.</param>
internal sealed record SewnUnit(PieceAtWork? Work, Outline Outline, ImmutableArray<UnitAct> Acts)
{
    /// <summary>What a person calls it.</summary>
    internal string Name => Acts.IsEmpty ? "" : Acts[0].Step.OwnerName;

    /// <summary>True when its cover hides whatever ends under its edge.</summary>
    internal bool HidesTuck =>
        Work is { } work
        && !work.Part.Element.Stages.Cover.Off
        && CoverChoice.Of(work.Part.Element, work.Cloth).HidesEdge;
}
