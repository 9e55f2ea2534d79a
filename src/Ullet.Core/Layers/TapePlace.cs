namespace Ullet.Core.Layers;

/// <summary>Where a layer is held with tape, by the box of what it takes.</summary>
public enum TapePlace
{
    /// <summary>Over its four corners.</summary>
    Corners,

    /// <summary>Over the ends of its longer side.</summary>
    Ends,

    /// <summary>Over the middle of each side.</summary>
    Sides,

    /// <summary>Over its upper edge.</summary>
    Top,

    /// <summary>Over its lower edge.</summary>
    Bottom,

    /// <summary>Over its left edge.</summary>
    Left,

    /// <summary>Over its right edge.</summary>
    Right,
}

/// <summary>Tape that hands put on.</summary>
/// <param name="LayerId">What it holds.</param>
/// <param name="Place">Where.</param>
public sealed record Taped(string LayerId, TapePlace Place);
