using System.Runtime.InteropServices;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The needle points of a run of top thread while it is made, and how far each stroke might go.</summary>
/// <param name="edge">Which edge of the outline it belongs to.</param>
/// <param name="threadId">A thread of its own; null for the step's.</param>
/// <param name="capacity">About how many needle points it will have.</param>
internal sealed class TopThread(int edge, string? threadId, int capacity)
{
    private readonly List<Point> _points = new(capacity);
    private readonly List<Point> _ends = new(capacity);
    private readonly List<bool> _isCrowded = new(capacity);

    /// <summary>True when it runs on over its own start.</summary>
    internal bool IsClosing { get; init; } = true;

    internal int Count => _points.Count;

    internal ReadOnlySpan<Point> Points => CollectionsMarshal.AsSpan(_points);

    /// <summary>Where each needle point would lie if its stroke had full length, mm; where it lies if it is well as it is.</summary>
    internal ReadOnlySpan<Point> Ends => CollectionsMarshal.AsSpan(_ends);

    /// <summary>Whether strokes draw together or meet others near each needle point.</summary>
    internal ReadOnlySpan<bool> IsCrowded => CollectionsMarshal.AsSpan(_isCrowded);

    /// <summary>Adds a needle point unless the needle stands there already.</summary>
    internal void Add(Point point, Point end, bool isCrowded)
    {
        if (_points.Count == 0 || point.DistanceTo(_points[^1]) > Tolerance.Quantum)
        {
            _points.Add(point);
            _ends.Add(end);
            _isCrowded.Add(isCrowded);
        }
    }

    /// <summary>Sews it from its last point to its first.</summary>
    internal void Reverse()
    {
        _points.Reverse();
        _ends.Reverse();
        _isCrowded.Reverse();
    }

    internal StitchRun Run(ReadOnlySpan<Point> points) => new(RunKind.Top, edge, [.. points]) { ThreadId = threadId };
}
