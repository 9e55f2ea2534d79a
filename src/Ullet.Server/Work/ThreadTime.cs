using System.Diagnostics;
using System.Runtime.InteropServices;

namespace Ullet.Server.Work;

/// <summary>How long the current thread has computed: time in which others had the processor, or it waited, is left out.</summary>
/// <remarks>Where the system does not tell it, time as it passes.</remarks>
internal static partial class ThreadTime
{
    /// <summary>CLOCK_THREAD_CPUTIME_ID of Linux.</summary>
    private const int ThreadClock = 3;

    private static readonly bool IsTold = OperatingSystem.IsLinux() && Try() is not null;

    /// <summary>Time since some moment; only differences on the same thread mean something.</summary>
    internal static TimeSpan Now => IsTold ? Try()!.Value : Stopwatch.GetElapsedTime(0);

    private static TimeSpan? Try()
    {
        try
        {
            return GetTime(ThreadClock, out var time) == 0
                ? TimeSpan.FromSeconds((double)time.Seconds) + TimeSpan.FromMicroseconds(time.Nanoseconds / 1000.0)
                : null;
        }
        catch (Exception wrong) when (wrong is DllNotFoundException or EntryPointNotFoundException)
        {
            return null;
        }
    }

    [LibraryImport("libc", EntryPoint = "clock_gettime")]
    [DefaultDllImportSearchPaths(DllImportSearchPath.SafeDirectories)]
    private static partial int GetTime(int clock, out TimeSpec time);

    [StructLayout(LayoutKind.Sequential)]
    private struct TimeSpec
    {
        internal nint Seconds;
        internal nint Nanoseconds;
    }
}
