using System.Collections.Immutable;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.Applique;

/// <summary>One thing of a method's order: a stage the machine sews, or work for hands.</summary>
public abstract record MethodAct;

public sealed record StageAct(StageId Id) : MethodAct;

public sealed record HandAct(HandWork Work) : MethodAct;

/// <summary>How a piece is applied: its stages, where hands come in, and what it wants cut.</summary>
public interface IAppliqueMethod
{
    Method Id { get; }

    string Name { get; }

    /// <summary>One sentence for somebody who never did appliqué.</summary>
    string Summary { get; }

    /// <summary>Its stages in their order, a cut guide first.</summary>
    ImmutableArray<StageId> Stages { get; }

    /// <summary>How far inside the outline the tack-down runs when nothing else is set, mm.</summary>
    double TackInset { get; }

    /// <summary>How far outside the outline the cloth is cut before it is laid, mm; null when no shape is cut before.</summary>
    double? CutAllowance { get; }

    /// <summary>True when the cut shape is the finished piece, false when it is a rough template.</summary>
    bool CutsToSize { get; }

    /// <summary>The only kind of cover that it can have; null for any.</summary>
    CoverKind? OnlyCover => null;

    /// <summary>True when the cloth lies beneath, so that the edge to hide is the ground's and the cover's inside share lies on it.</summary>
    bool CoverLiesOnGround => false;

    /// <summary>What a stage is called in it.</summary>
    string StageWords(StageId id) => StageTable.Of(id).Words;

    /// <summary>What happens in a stage, for somebody who meets it for the first time.</summary>
    string StageAbout(StageId id) => StageTable.Of(id).About;

    /// <summary>How far the cut edge may end up from the outline: inwards and outwards of the cloth that is cut, mm.</summary>
    /// <param name="tackInset">How far inside that cloth the tack-down runs, mm.</param>
    /// <param name="piece">How it is held and how much it is cut larger.</param>
    /// <param name="exact">How exact cutter and hands are with the cloth.</param>
    EdgeShift Shift(double tackInset, AppliqueElement piece, EdgeTolerances exact);

    /// <summary>The method's own order, without a cut guide.</summary>
    ImmutableArray<MethodAct> Acts(PieceAtWork work);

    /// <summary>What hands do after a cut guide was stitched; null for a method without one.</summary>
    HandWork? AfterGuide(PieceAtWork work) => null;
}

/// <summary>Where the cloth's edge may lie: at most this far inside the outline and this far outside it, mm.</summary>
public readonly record struct EdgeShift(double Inwards, double Outwards);

/// <summary>The methods that there are.</summary>
public static class AppliqueMethods
{
    public static readonly ImmutableArray<IAppliqueMethod> All =
    [
        new TrimInTheHoop(),
        new CutBeforehand(),
        new MarkedOnCloth(),
        new LaidFirst(),
        new RawEdge(),
        new SetBehind(),
    ];

    public static IAppliqueMethod Of(Method method) => All.First(known => known.Id == method);
}
