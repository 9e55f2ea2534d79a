using Ullet.Core.Geometry;

namespace Ullet.Core.Layers;

/// <summary>The slider of a zip.</summary>
internal static class ZipSlider
{
    /// <summary>What it takes with its puller about its middle, along the teeth and across them, mm.</summary>
    internal static readonly Box Taken = Box.Centred(14, 16);
}
