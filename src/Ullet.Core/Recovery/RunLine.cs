using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Recovery;

/// <summary>A line that was sewn along.</summary>
/// <param name="Points">Needle points in the order of the line, each hole once; a closed line does not say its first again.</param>
/// <param name="IsClosed">True for a line that comes back to where it began.</param>
/// <param name="Passes">How often it was sewn.</param>
/// <param name="StitchLength">The usual stitch, mm.</param>
public sealed record RunLine(ImmutableArray<Point> Points, bool IsClosed, int Passes, double StitchLength)
{
    /// <summary>The line through its needle points, bends rounded as the curve that was sewn had them.</summary>
    public ImmutableArray<Curve> Curves() => RoundedRun.Of(Points, IsClosed);

    /// <summary>The same as a ring; of a closed line.</summary>
    public Ring Ring() => new Contour(Curves()).Flatten();

    /// <summary>How long it is, mm.</summary>
    public double Length()
    {
        var sum = Points.Zip(Points.Skip(1), (from, to) => from.DistanceTo(to)).Sum();
        return IsClosed ? sum + Points[^1].DistanceTo(Points[0]) : sum;
    }
}
