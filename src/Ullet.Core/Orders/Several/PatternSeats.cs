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
    internal static Project Filled(Project grid, ImmutableArray<SeatedOrder> orders, string title, EditContext context)
    {
        var fill = new OrderFill(context);
        var places = PatternShelf.PlanOf(grid)!.Places;
        var kinds = places.Select(place => place.FillInId).Distinct(StringComparer.Ordinal).Count();
        grid = Alike(grid, places, kinds);
        // One of them alone tells where its places lie in it.
        var alone = orders[0].Order.DesignBounds();
        var off =
            alone.Centre
            - PatternShelf
                .PlanOf(orders[0].Order.Project)!
                .Places.Aggregate(Box.Empty, (all, place) => all.Union(place.Room))
                .Centre;
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
            var rooms = own.Aggregate(Box.Empty, (all, place) => all.Union(place.Room));
            var at = rooms.Centre + off;
            numbers.Add(new Seat(order.Number, order.Says, new ElementBox(at.X, at.Y, alone.Width, alone.Height, 0)));
            first = first with
            {
                Cloths = first.Cloths.AddRange(
                    filled.Cloths.Where(cloth => first.Cloths.All(known => known.Id != cloth.Id))
                ),
            };
        }
        var placed = places.Select(place => place.ElementId).ToHashSet(StringComparer.Ordinal);
        var place = first!.Elements.TakeWhile(element => !placed.Contains(element.Id)).Count();
        var rest = first.Elements.Where(element => !placed.Contains(element.Id)).ToList();
        return first with
        {
            Title = title,
            Elements = [.. rest.Take(place), .. taken, .. rest.Skip(place)],
            Seats = numbers.ToImmutable(),
            FillIns = [],
            RunSheet = first.RunSheet with { Order = StitchOrder.Together, Sequence = [] },
        };
    }

    /// <summary>Every seat with words and motif as those of the first one were set by hand: font, making, cover.</summary>
    private static Project Alike(Project grid, ImmutableArray<FillInPlace> places, int kinds)
    {
        for (var i = kinds; i < places.Length; i++)
        {
            var (own, first) = (places[i], places[i % kinds]);
            if (grid.Find(own.ElementId) is null || grid.Find(first.ElementId) is not { } pattern)
            {
                continue;
            }
            var by = own.Room.Centre - first.Room.Centre;
            grid = grid.With(
                pattern with
                {
                    Id = own.ElementId,
                    PatternPart = own.ElementId[2..],
                    Box = pattern.Box.Moved(by.X, by.Y),
                }
            );
        }
        return grid;
    }

    private static string Named(SeatedOrder order, string name)
    {
        var named = $"{order.Number} · {name}";
        return named.Length <= Limits.LongestName ? named : named[..Limits.LongestName];
    }
}
