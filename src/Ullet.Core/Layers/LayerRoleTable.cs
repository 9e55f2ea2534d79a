using System.Collections.Immutable;

namespace Ullet.Core.Layers;

/// <summary>What a layer may be to the finished thing, in words for somebody who has to choose.</summary>
public static class LayerRoleTable
{
    public static readonly ImmutableArray<(LayerRole Id, string Name)> All =
    [
        (LayerRole.Outer, "its right side is outside"),
        (LayerRole.Lining, "its right side is inside"),
        (LayerRole.Inner, "stays between"),
        (LayerRole.TakenOut, "comes out again"),
    ];
}
