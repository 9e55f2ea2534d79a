namespace Ullet.Server.Work;

/// <summary>What a computation may take.</summary>
/// <param name="Steps">Steps of work; the first bound, the same on every machine.</param>
/// <param name="OwnTime">Time of its own, waiting left out; stops early what counts too few steps.</param>
public sealed record WorkKind(long Steps, TimeSpan OwnTime)
{
    /// <summary>A computation that takes longer than this stands in the queue of heavy ones from there on.</summary>
    public static readonly TimeSpan Ordinary = TimeSpan.FromMilliseconds(700);

    /// <summary>A file from outside is read, or run on a stand-in device.</summary>
    public static readonly WorkKind Reading = new(1_000_000_000, TimeSpan.FromSeconds(3.5));

    /// <summary>A change is made and its document computed once; by a server that has just started it takes three times as long.</summary>
    public static readonly WorkKind Changing = new(1_000_000_000, TimeSpan.FromSeconds(9));

    /// <summary>What is on the shelf is shown or handed over; it was admitted, or an older build admitted it.</summary>
    public static readonly WorkKind Showing = new(30_000_000_000, TimeSpan.FromSeconds(90));

    /// <summary>The same with as much more time as something took before.</summary>
    public WorkKind With(TimeSpan more) =>
        this with
        {
            OwnTime = OwnTime + more,
            Steps = more > Ordinary ? Showing.Steps : Steps,
        };
}
