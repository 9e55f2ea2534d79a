using System.Collections.Immutable;
using System.Globalization;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>Lays several orders of a master into hoopings that they share: like steps are merged, one ground, one backing.</summary>
public sealed class SeveralInOne(EditContext context, Evaluated master)
{
    /// <summary>Most orders of one hooping.</summary>
    public const int Most = 24;

    private const string AcrossId = "across";

    private const string DownId = "down";

    /// <summary>Which orders lie together: as many hoopings as are needed, in the orders' own order; those on another ground apart.</summary>
    /// <returns>The orders of each hooping; or why they can't lie together.</returns>
    public Result<ImmutableArray<ImmutableArray<SeatedOrder>>> Divided(IReadOnlyList<SeatedOrder> orders)
    {
        if (orders.Count == 0)
        {
            return new Refusal("nothing-selected", "orderIds", "Choose the orders that are to lie in one hoop.");
        }
        if (master.Hoopings.Length > 1)
        {
            return new Refusal(
                "several-hoopings",
                "orderIds",
                $"One {master.Project.Title} takes {master.Hoopings.Length} hoopings already; only what is sewn in one can share it with others."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
        }
        return CapacityOf(orders)
            .Then(capacity =>
                (Result<ImmutableArray<ImmutableArray<SeatedOrder>>>)
                    orders
                        .GroupBy(GroundOf, StringComparer.Ordinal)
                        .SelectMany(group => Cut([.. group], capacity))
                        .ToImmutableArray()
            );
    }

    /// <summary>The document of one hooping.</summary>
    /// <param name="orders">Its orders, seat by seat.</param>
    /// <param name="name">What is added to the master's title: "hooping 1 of 2".</param>
    public Result<SharedHooping> Made(ImmutableArray<SeatedOrder> orders, string name)
    {
        var title = $"{master.Project.Title}, {name}";
        title = title.Length <= Limits.LongestName ? title : title[..Limits.LongestName];
        if (orders.All(order => order.IsLeftOut))
        {
            return new Refusal(
                "seats-empty",
                "leftOut",
                "Every order of this hooping is left out; there is nothing to sew."
            );
        }
        if (TakesSeveral(master.Project) && orders.FirstOrDefault(order => order.IsLeftOut) is { } left)
        {
            return new Refusal(
                "seat-of-pattern",
                "leftOut",
                $"The outlines of a {PatternShelf.Find(master.Project.Pattern!)!.Name.ToLowerInvariant()}’s grid are one step: number {left.Number} can't be left out of it. Make it alone, or choose the others anew."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
        }
        return TakesSeveral(master.Project)
            ? OfPattern(orders, title)
            : CapacityOf(orders)
                .Then(_ =>
                {
                    var grid = GridOf(orders).For(orders.Length);
                    var project = new SeatedCopies(orders, grid.Middles(orders.Length)).Made(master.Project, title);
                    return (Result<SharedHooping>)new SharedHooping(orders, Legal(project));
                });
    }

    /// <summary>Where one after the other in the order of a single one breaks a rule, the planner's own order.</summary>
    private Project Legal(Project project)
    {
        var evaluated = context.Evaluator.Evaluate(project, context.Cancellation);
        return evaluated.RunSheet.Order.Broken.IsEmpty
            ? project
            : project with
            {
                RunSheet = project.RunSheet with { Sequence = [] },
            };
    }

    private static bool TakesSeveral(Project project) =>
        project.Pattern is { } use
        && PatternShelf.Find(use) is { } pattern
        && pattern.Numbers.Any(field => field.Id == AcrossId)
        && pattern.Numbers.Any(field => field.Id == DownId);

    /// <summary>What must be the same for all that lie in one hoop.</summary>
    private string GroundOf(SeatedOrder order)
    {
        var project = order.Order.Project;
        var hooping = project.Hooping;
        var ground = new[] { hooping.GroundClothId, hooping.StabiliserClothId }
            .Select(project.FindCloth)
            .Select(cloth => cloth?.Name ?? "");
        // A pattern's layers are laid once for all of them.
        var stuff = TakesSeveral(master.Project)
            ? FillInFields
                .Of(master.Project)
                .Where(field => field is not LetteredFillIn and not MotifFillIn)
                .Select(field => order.Values.Of(field.Id) ?? "")
            : [];
        return string.Join('\n', ground.Concat(stuff));
    }

    private Result<int> CapacityOf(IReadOnlyList<SeatedOrder> orders)
    {
        if (TakesSeveral(master.Project))
        {
            var most = Grids().Select(grid => grid.Across * grid.Down).DefaultIfEmpty(0).Max();
            return most > 0 ? most : new Refusal("seat-too-large", "hoop", "Not even one fits into the hoop.");
        }
        if (master.Project.Pattern is { } use)
        {
            return new Refusal(
                "several-of-pattern",
                "orderIds",
                $"A {PatternShelf.Find(use)?.Name.ToLowerInvariant() ?? "pattern"} is closed and turned as a whole: only one can lie in a hoop."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
        }
        var grid = GridOf(orders);
        return grid.Count >= 1
            ? Math.Min(grid.Count, Most)
            : new Refusal(
                "seat-too-large",
                "hoop",
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"One of these takes {grid.Width:0.#} × {grid.Height:0.#} mm with its stitching, and the field takes {master.Project.Hooping.Hoop.Usable.Width:0.#} × {master.Project.Hooping.Hoop.Usable.Height:0.#} mm. Choose a larger hoop in the project."
                )
            )
            {
                Kind = RefusalKind.NotPossible,
            };
    }

    private SeatGrid GridOf(IReadOnlyList<SeatedOrder> orders)
    {
        var boxes = orders.Select(order => order.Order.DesignBounds()).ToList();
        return SeatGrid.Of(boxes.Max(box => box.Width), boxes.Max(box => box.Height), master.Project.Hooping.Hoop);
    }

    /// <summary>Orders hooping by hooping. A pattern's grid is always full: nothing is sewn that nobody ordered.</summary>
    private IEnumerable<ImmutableArray<SeatedOrder>> Cut(ImmutableArray<SeatedOrder> orders, int capacity)
    {
        if (!TakesSeveral(master.Project))
        {
            return orders.Chunk(capacity).Select(chunk => chunk.ToImmutableArray());
        }
        var sizes = Grids().Select(grid => grid.Across * grid.Down).Distinct().OrderDescending().ToList();
        var hoopings = new List<ImmutableArray<SeatedOrder>>();
        while (!orders.IsEmpty)
        {
            var count = sizes.First(size => size <= orders.Length);
            hoopings.Add(orders[..count]);
            orders = orders[count..];
        }
        return hoopings;
    }

    /// <summary>The grids of the pattern that the hoop takes.</summary>
    private IEnumerable<(int Across, int Down)> Grids()
    {
        var pattern = PatternShelf.Find(master.Project.Pattern!)!;
        var (across, down) = (
            pattern.Numbers.First(field => field.Id == AcrossId),
            pattern.Numbers.First(field => field.Id == DownId)
        );
        for (var row = (int)down.Least; row <= down.Most; row++)
        {
            for (var column = (int)across.Least; column <= across.Most; column++)
            {
                if (
                    Numbered(column, row) is { IsOk: true } plan
                    && PatternShelf.Takes(master.Project.Hooping.Hoop, plan.Value)
                )
                {
                    yield return (column, row);
                }
            }
        }
    }

    private Result<PatternPlan> Numbered(int across, int down)
    {
        var use = master.Project.Pattern!;
        return PatternShelf.Plan(
            use with
            {
                Numbers =
                [
                    .. use.Numbers.Where(number => number.Id is not (AcrossId or DownId)),
                    new PatternNumber(AcrossId, across),
                    new PatternNumber(DownId, down),
                ],
            },
            new PatternStuff(master.Project)
        );
    }

    /// <summary>A pattern that puts several into one hoop by itself: each place is filled in from its own order.</summary>
    private Result<SharedHooping> OfPattern(ImmutableArray<SeatedOrder> orders, string title)
    {
        var fitting = Grids()
            .Where(grid => grid.Across * grid.Down == orders.Length)
            .OrderByDescending(grid => grid.Across)
            .ToList();
        if (fitting.Count == 0)
        {
            return new Refusal(
                "seats-uneven",
                "orderIds",
                $"The pattern has no grid of {orders.Length} that the hoop takes; lay fewer together."
            );
        }
        var (across, down) = fitting[0];
        var numbered = new UsePattern
        {
            PatternId = master.Project.Pattern!.PatternId,
            Numbers = [new PatternNumber(AcrossId, across), new PatternNumber(DownId, down)],
            FontId = master
                .Project.Elements.Select(element => element.FormedAs<TextForm>()?.FontId)
                .FirstOrDefault(id => id is not null),
        }.Apply(master.Project, context);
        return numbered.Then(project =>
            (Result<SharedHooping>)new SharedHooping(orders, PatternSeats.Filled(project, orders, title, context))
        );
    }
}
