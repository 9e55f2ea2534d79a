namespace Ullet.Core.Layers;

/// <summary>What a layer is to the finished thing.</summary>
public enum LayerRole
{
    /// <summary>Stays between others: batting, stabiliser that is left in, a zip's tape.</summary>
    Inner,

    /// <summary>Its right side is outside in the end.</summary>
    Outer,

    /// <summary>Its right side is seen inside.</summary>
    Lining,

    /// <summary>Comes out again before the thing is finished.</summary>
    TakenOut,
}
