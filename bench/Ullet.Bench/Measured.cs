using System.Diagnostics;

namespace Ullet.Bench;

/// <summary>Times work on this machine; only ratios of such times mean anything elsewhere.</summary>
internal static class Measured
{
    /// <summary>The median time of an action over some rounds, after some rounds of warming up, ms.</summary>
    /// <param name="rounds">Rounds that are timed.</param>
    /// <param name="action">What is timed.</param>
    /// <param name="warmUp">Rounds before; half as many as are timed unless given. The compiler replaces its first, slow code
    /// after some dozens.</param>
    internal static double Median(int rounds, Action<int> action, int? warmUp = null)
    {
        for (var i = 0; i < (warmUp ?? rounds / 2); i++)
        {
            action(i);
        }
        var times = new double[rounds];
        for (var i = 0; i < rounds; i++)
        {
            var start = Stopwatch.GetTimestamp();
            action(i + 1000);
            times[i] = Stopwatch.GetElapsedTime(start).TotalMilliseconds;
        }
        Array.Sort(times);
        return times[rounds / 2];
    }
}

/// <summary>One line of the table: a measured time against its bound.</summary>
/// <param name="Name">What is measured.</param>
/// <param name="Time">ms.</param>
/// <param name="Bound">ms, from other measurements of the same run.</param>
/// <param name="IsAim">True for a bound that the engine is still on its way to: it is shown and fails nothing.</param>
internal sealed record Ratio(string Name, double Time, double Bound, bool IsAim = false)
{
    internal bool Holds => Time <= Bound;

    public override string ToString() =>
        $"{Name, -58} {Time, 9:0.00} ms of at most {Bound, 9:0.00} ms   ratio {Time / Bound:0.00}   {(Holds ? "holds" : IsAim ? "not yet" : "BREACHED")}";
}
