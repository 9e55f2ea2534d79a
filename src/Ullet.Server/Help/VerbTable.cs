using System.Collections.Immutable;

namespace Ullet.Server.Help;

/// <summary>All that can be done, a row each.</summary>
public static class VerbTable
{
    public static readonly ImmutableArray<VerbRow> All =
    [
        .. HouseVerbs.All,
        .. ProjectVerbs.All,
        .. WallVerbs.All,
        .. SelectionVerbs.All,
    ];
}
