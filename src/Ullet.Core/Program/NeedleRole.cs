namespace Ullet.Core.Program;

/// <summary>What a needle point is for.</summary>
public enum NeedleRole
{
    /// <summary>A line that is meant to be there: placement, tack-down, quilting, bean.</summary>
    Line,

    /// <summary>What lies under a satin.</summary>
    Underlay,

    /// <summary>What is seen of a cover.</summary>
    Top,

    /// <summary>The way to the next part.</summary>
    Travel,

    /// <summary>What keeps a thread's end.</summary>
    Lock,
}
