using Ullet.Core.Pipeline;

namespace Ullet.Core.RunSheets;

/// <summary>What an order costs: a hoop taken off or turned over costs more than a stop for hands, that more than a change of
/// thread.</summary>
internal static class OrderCost
{
    private const int HoopOff = 100;
    private const int Stop = 20;
    private const int ThreadChange = 5;

    /// <summary>What the cost of the next step depends on.</summary>
    /// <param name="Thread">The thread in the needle; null for none yet.</param>
    /// <param name="HasStopped">True while the machine stands still for hands.</param>
    /// <param name="IsHoopOff">True while the hoop is off the machine.</param>
    internal readonly record struct State(string? Thread, bool HasStopped, bool IsHoopOff)
    {
        internal static readonly State Start = new(null, true, true);
    }

    /// <summary>The cost of one step, and what the next one begins with.</summary>
    internal static (int Cost, State After) Of(RunStep step, State at) =>
        step switch
        {
            HandStep hand => (
                (at.HasStopped ? 0 : Stop) + (hand.Work.HoopOff && !at.IsHoopOff ? HoopOff : 0),
                new State(at.Thread, true, at.IsHoopOff || hand.Work.HoopOff)
            ),
            StitchStep stitch => (
                at.Thread is { } thread && thread != stitch.Stage.ThreadId ? ThreadChange : 0,
                new State(stitch.Stage.ThreadId, false, false)
            ),
            _ => (0, at),
        };

    /// <summary>The cost of an order.</summary>
    internal static int Of(IEnumerable<RunStep> steps)
    {
        var (total, state) = (0, State.Start);
        foreach (var step in steps)
        {
            Budget.Spend();
            (var cost, state) = Of(step, state);
            total += cost;
        }
        return total;
    }
}
