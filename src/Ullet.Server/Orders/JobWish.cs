using System.Collections.Immutable;

namespace Ullet.Server.Orders;

/// <summary>What a job was asked for.</summary>
public sealed record JobWish
{
    /// <summary>One that makes a packet for each order, or one for each hooping for several.</summary>
    public const string Packets = "packets";

    public const string Hoopings = "hoopings";

    /// <summary>"packets" or "hoopings".</summary>
    public string Kind { get; init; } = Packets;

    /// <summary>The orders, in the order in which they are made.</summary>
    public ImmutableArray<string> OrderIds { get; init; } = [];

    /// <summary>True to make with today's master also what holds to an earlier state; what was made of it stays kept.</summary>
    public bool Anew { get; init; }

    /// <summary>Orders that a hooping is made without: "all but number 4".</summary>
    public ImmutableArray<string> LeftOut { get; init; } = [];
}
