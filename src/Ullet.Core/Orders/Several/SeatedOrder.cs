using Ullet.Core.Evaluation;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>An order that is to lie in a hoop with others.</summary>
/// <param name="OrderId">The order.</param>
/// <param name="Number">What it is called on pieces, drawings and steps.</param>
/// <param name="Says">What its fill-ins say.</param>
/// <param name="Values">What it says.</param>
/// <param name="Order">It alone, filled in and computed.</param>
public sealed record SeatedOrder(string OrderId, string Number, string Says, OrderValues Values, Evaluated Order)
{
    /// <summary>Which of several that are wanted of the order, from 1.</summary>
    public int Copy { get; init; } = 1;

    /// <summary>True where its seat stays free: the others keep their places.</summary>
    public bool IsLeftOut { get; init; }
}

/// <summary>A hooping for several orders.</summary>
/// <param name="Orders">The orders, seat by seat.</param>
/// <param name="Project">The document: everything in it is marked with its order's number.</param>
public sealed record SharedHooping(IReadOnlyList<SeatedOrder> Orders, Project Project);
