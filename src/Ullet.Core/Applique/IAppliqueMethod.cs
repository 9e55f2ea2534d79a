using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>A piece with what its method needs to know.</summary>
/// <param name="Part">The piece, or the letter.</param>
/// <param name="Outline">The outline of the cloth as it is laid, mm: the piece's own unless it goes on deep under others.</param>
/// <param name="Cloth">Its cloth.</param>
/// <param name="Offset">The laid outline moved outwards by a distance, mm, with its holes or with them filled.</param>
public sealed record PieceAtWork(AppliquePart Part, Outline Outline, Cloth Cloth, Func<double, bool, Area> Offset)
{
    /// <summary>The piece's own outline, mm: the edge that the cover lies on.</summary>
    public required Outline Edge { get; init; }

    /// <summary>The stretches of it that get a cover; null for all of it.</summary>
    public VisibleEdge? Visible { get; init; }

    /// <summary>Its edge stretch by stretch where the stack or a hand divides it; none where all of it is visible.</summary>
    public ImmutableArray<EdgeStretch> Stretches { get; init; } = [];

    /// <summary>True when the whole piece lies under others.</summary>
    public bool IsBuried { get; init; }
}

/// <summary>One thing of a method's order: a stage the machine sews, or work for hands.</summary>
public abstract record MethodAct;

public sealed record StageAct(StageRole Role) : MethodAct;

public sealed record HandAct(HandWork Work) : MethodAct;

/// <summary>How a piece is applied: its stages, where hands come in, and what it wants cut.</summary>
public interface IAppliqueMethod
{
    Method Id { get; }

    string Name { get; }

    /// <summary>One sentence for somebody who never did appliqué.</summary>
    string Summary { get; }

    /// <summary>How far inside the outline the tack-down runs when nothing else is set, mm.</summary>
    double TackInset { get; }

    /// <summary>How far outside the outline the cloth is cut before it is laid, mm.</summary>
    double CutAllowance { get; }

    /// <summary>True when the cut shape is the finished piece, false when it is a rough template.</summary>
    bool CutsToSize { get; }

    /// <summary>How far the cut edge may end up from the outline: inwards and outwards, mm.</summary>
    EdgeShift Shift(double tackInset);

    /// <summary>The method's own order.</summary>
    ImmutableArray<MethodAct> Acts(PieceAtWork work);
}

/// <summary>Where the cloth's edge may lie: at most this far inside the outline and this far outside it, mm.</summary>
public readonly record struct EdgeShift(double Inwards, double Outwards);

/// <summary>The methods that there are.</summary>
public static class AppliqueMethods
{
    public static readonly ImmutableArray<IAppliqueMethod> All = [new TrimInTheHoop(), new CutBeforehand()];

    public static IAppliqueMethod Of(Method method) => All.First(known => known.Id == method);
}
