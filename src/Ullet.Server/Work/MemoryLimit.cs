namespace Ullet.Server.Work;

/// <summary>Whether the process holds as much memory as it may.</summary>
internal static class MemoryLimit
{
    /// <summary>Asked once in so many looks at a computation.</summary>
    internal const int LookEvery = 8;

    /// <summary>More is never held, bytes.</summary>
    private const double Most = 3e9;

    /// <summary>Of what the machine, or a limit set for the process, allows.</summary>
    private const double Share = 0.6;

    /// <summary>What is collected at most once in so long, ms.</summary>
    private const long CollectEvery = 4000;

    private static readonly double Limit = Math.Min(Most, Share * GC.GetGCMemoryInfo().TotalAvailableMemoryBytes);

    private static long _collected;

    /// <summary>True when more than the limit is in use, garbage left out.</summary>
    internal static bool IsReached
    {
        get
        {
            if (GC.GetTotalMemory(forceFullCollection: false) < Limit)
            {
                return false;
            }
            var (now, last) = (Environment.TickCount64, Interlocked.Read(ref _collected));
            if (now - last > CollectEvery && Interlocked.CompareExchange(ref _collected, now, last) == last)
            {
                GC.Collect();
            }
            return GC.GetTotalMemory(forceFullCollection: false) >= Limit;
        }
    }
}
