using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>Fills the places of a pattern that puts several into one hoop, each from an order of its own.</summary>
internal static class PatternSeats
{
    /// <param name="grid">The master with as many of it as there are seats.</param>
    /// <param name="orders">The orders, one for each seat.</param>
    /// <param name="title">The document's.</param>
    /// <param name="context">What edits read.</param>
    internal static Project Filled(
        Project grid,
        ImmutableArray<SeatedOrder> orders,
        string title,
        EditContext context
    )
    {
        var fill = new OrderFill(context);
        var places = PatternShelf.PlanOf(grid)!.Places;
        var kinds = places.Select(place => place.FillInId).Distinct(StringComparer.Ordinal).Count();
        var taken = ImmutableArray.CreateBuilder<Element>();
        var numbers = ImmutableArray.CreateBuilder<Seat>();
        Project? first = null;
        for (var seat = 0; seat < orders.Length; seat++)
        {
            var order = orders[seat];
            var filled = fill.Of(grid, order.Values).Project;
            first ??= filled;
            var own = places.Skip(seat * kinds).Take(kinds).ToList();
            var ids = own.Select(place => place.ElementId).ToHashSet(StringComparer.Ordinal);
            taken.AddRange(
                filled
                    .Elements.Where(element => ids.Contains(element.Id))
                    .Select(element => element with { Name = Named(order, element.Name) })
            );
            var box = own.Aggregate(Box.Empty, (all, place) => all.Union(place.Room));
            numbers.Add(
                new Seat(order.Number, order.Says, new ElementBox(box.Centre.X, box.Centre.Y, box.Width, box.Height, 0))
            );
            first = first with
            {
                Cloths = first.Cloths.AddRange(
                    filled.Cloths.Where(cloth => first.Cloths.All(known => known.Id != cloth.Id))
                ),
            };
        }
        var placed = places.Select(place => place.ElementId).ToHashSet(StringComparer.Ordinal);
        var at = first!.Elements.TakeWhile(element => !placed.Contains(element.Id)).Count();
        var rest = first.Elements.Where(element => !placed.Contains(element.Id)).ToList();
        return first with
        {
            Title = title,
            Elements = [.. rest.Take(at), .. taken, .. rest.Skip(at)],
            Seats = numbers.ToImmutable(),
            FillIns = [],
            RunSheet = first.RunSheet with { Order = StitchOrder.Together, Sequence = [] },
        };
    }

    private static string Named(SeatedOrder order, string name)
    {
        var named = $"{order.Number} · {name}";
        return named.Length <= Limits.LongestName ? named : named[..Limits.LongestName];
    }
}
