using System.Collections.Immutable;

namespace Ullet.Core.Orders;

/// <summary>What an order says of one fill-in.</summary>
/// <param name="FillInId">Which.</param>
/// <param name="Text">As it was typed: words, a number, the name of a drawing, a cloth or a thread, "yes" or "no".</param>
public sealed record OrderValue(string FillInId, string Text);

/// <summary>What an order says of all its fill-ins.</summary>
public sealed record OrderValues(ImmutableArray<OrderValue> All)
{
    public static readonly OrderValues None = new([]);

    /// <summary>What it says of one; null where it says nothing.</summary>
    public string? Of(string fillInId) => All.FirstOrDefault(value => value.FillInId == fillInId)?.Text;

    /// <summary>The same with another text for one.</summary>
    public OrderValues With(string fillInId, string text) =>
        new([.. All.Where(value => value.FillInId != fillInId), new OrderValue(fillInId, text)]);
}
