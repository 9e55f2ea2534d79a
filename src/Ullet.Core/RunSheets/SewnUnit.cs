using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Makings;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>A step with its phase.</summary>
internal sealed record UnitAct(ActPhase Phase, RunStep Step);

/// <summary>A piece of cloth or lines without cloth, with their steps.</summary>
/// <param name="Work">The piece; null for lines.</param>
/// <param name="Way">What makes it so, in the trade's words: the method's name, or "this line".</param>
/// <param name="Outline">What it takes on the wall, mm.</param>
/// <param name="Acts">Its steps in its making's order.</param>
internal sealed record SewnUnit(PieceAtWork? Work, string Way, Outline Outline, ImmutableArray<UnitAct> Acts)
{
    /// <summary>What it holds, where it is sewn only to hold and comes out again; null for what stays.</summary>
    internal BastingMaking? Basting { get; init; }

    /// <summary>What is known of stitches of a file; null for anything else.</summary>
    internal OpenedMaking? Opened { get; init; }

    /// <summary>The element that it belongs to.</summary>
    internal string OwnerId => Acts.IsEmpty ? "" : Acts[0].Step.OwnerId;

    /// <summary>What a person calls it.</summary>
    internal string Name => Acts.IsEmpty ? "" : Acts[0].Step.OwnerName;

    /// <summary>True when its cover hides whatever ends under its edge.</summary>
    internal bool HidesTuck =>
        Work is { } work
        && !work.Part.Element.Stages.Cover.Off
        && CoverChoice.Of(work.Part.Element, work.Cloth).HidesEdge;
}
