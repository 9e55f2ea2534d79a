using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Applique;

/// <summary>A plan whose thread is to cover an area.</summary>
internal interface IAreaPlan
{
    /// <summary>Most needle points that a disc of 0.5 mm radius may take.</summary>
    int NeedleLimit { get; }

    /// <summary>From one part to the next thread may lie over a gap as wide as this, mm.</summary>
    double JoinNearer { get; }

    /// <summary>Bare spots up to this width are meant, mm.</summary>
    double MeantBare { get; }

    /// <summary>What it should cover of an outline, with its compensation.</summary>
    ImmutableArray<Region> Area(Outline outline);
}
