using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Makings;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Orders;

/// <summary>Puts the elements of several orders side by side, with their hand steps, and sews like steps together.</summary>
internal sealed class SeatedCopies
{
    private readonly IReadOnlyList<SeatedOrder> _orders;

    private readonly ImmutableArray<Point> _middles;

    /// <param name="seated">The orders, seat by seat; the place of one that is left out stays free.</param>
    /// <param name="places">The seats' middles, mm.</param>
    internal SeatedCopies(IReadOnlyList<SeatedOrder> seated, ImmutableArray<Point> places)
    {
        _orders = [.. seated.Where(order => !order.IsLeftOut)];
        _middles = [.. places.Where((_, seat) => !seated[seat].IsLeftOut)];
    }

    /// <summary>A seat's own id of a thing.</summary>
    private static string Own(int seat, string id) => $"s{seat + 1}-{id}";

    /// <summary>The document of them all, in the master's hooping.</summary>
    internal Project Made(Project master, string title)
    {
        var elements = ImmutableArray.CreateBuilder<Element>();
        var hands = ImmutableArray.CreateBuilder<UserHandStep>();
        var steps = ImmutableArray.CreateBuilder<StepOverride>();
        var (cloths, threads) = (master.Cloths, master.Threads);
        var files = ImmutableArray.CreateBuilder<OpenedFile>();
        for (var seat = 0; seat < _orders.Count; seat++)
        {
            var project = _orders[seat].Order.Project;
            cloths = cloths.AddRange(project.Cloths.Where(cloth => cloths.All(known => known.Id != cloth.Id)));
            threads = threads.AddRange(project.Threads.Where(thread => threads.All(known => known.Id != thread.Id)));
            var by = _middles[seat] - _orders[seat].Order.DesignBounds().Centre;
            files.AddRange(project.OpenedFiles.Select(file => file with { Id = Own(seat, file.Id) }));
            elements.AddRange(project.Elements.Select(element => Seated(element, seat, by)));
            hands.AddRange(project.RunSheet.Hands.Where(IsOfOne).Select(hand => Seated(hand, seat, by)));
            steps.AddRange(
                project
                    .RunSheet.Steps.Where(step =>
                        project.Find(step.Key.OwnerId) is not null || OneHand(project, step.Key)
                    )
                    .Select(step => step with { Key = step.Key with { OwnerId = Own(seat, step.Key.OwnerId) } })
            );
        }
        var shared = _orders[0].Order.Project.RunSheet;
        return master with
        {
            Title = title,
            Pattern = null,
            FillIns = [],
            Cloths = cloths,
            Threads = threads,
            OpenedFiles = files.ToImmutable(),
            Elements = elements.ToImmutable(),
            Seats =
            [
                .. _orders.Select(
                    (order, seat) =>
                    {
                        var box = order.Order.DesignBounds();
                        return new Seat(
                            order.Number,
                            order.Says,
                            new ElementBox(_middles[seat].X, _middles[seat].Y, box.Width, box.Height, 0)
                        );
                    }
                ),
            ],
            RunSheet = new RunSheetOverrides
            {
                Order = StitchOrder.Together,
                Hands = [.. shared.Hands.Where(hand => !IsOfOne(hand)).Select(OverAll), .. hands],
                Steps =
                [
                    .. shared.Steps.Where(step =>
                        steps.All(own => own.Key != step.Key)
                        && _orders[0].Order.Project.Find(step.Key.OwnerId) is null
                        && !OneHand(_orders[0].Order.Project, step.Key)
                    ),
                    .. steps,
                ],
                Sequence = Sequence(),
            },
            Cut = master.Cut with
            {
                Cloths = [.. cloths.Select(cloth => WithLabels(master.Cut.Of(cloth.Id), cloth.Id))],
            },
        };
    }

    /// <summary>Cut pieces bear their names, which begin with the order's number; where they were laid by hand is another sheet's.</summary>
    private static ClothCut WithLabels(ClothCut cut, string clothId) =>
        cut with
        {
            ClothId = clothId,
            Marks = cut.Marks with { Labels = true },
            Places = [],
            Roles = [],
        };

    private static bool OneHand(Project project, StepKey key) =>
        project.RunSheet.Hands.FirstOrDefault(hand => hand.Id == key.OwnerId) is { } hand && IsOfOne(hand);

    /// <summary>True for a hand step that is about elements of an order: it is done once for each; any other once for all.</summary>
    private static bool IsOfOne(UserHandStep hand) =>
        hand.AreaOf is not null || hand.Insert is not null || hand.AlignedTo is not null;

    /// <summary>A cloth that is laid as large as was typed is laid over all seats.</summary>
    private UserHandStep OverAll(UserHandStep hand)
    {
        if (hand.Area is not { } area)
        {
            return hand;
        }
        var from = _orders[0].Order.DesignBounds().Centre;
        var all = _middles.Aggregate(
            Box.Empty,
            (box, middle) =>
                box.Union(
                    Box.Centred(area.Width, area.Height).Moved(area.X - from.X + middle.X, area.Y - from.Y + middle.Y)
                )
        );
        return hand with { Area = new ElementBox(all.Centre.X, all.Centre.Y, all.Width, all.Height, 0) };
    }

    private Element Seated(Element element, int seat, Point by)
    {
        var ids = new IdMap(
            _orders[seat]
                .Order.Project.Cloths.ToDictionary(cloth => cloth.Id, cloth => cloth.Id, StringComparer.Ordinal),
            _orders[seat]
                .Order.Project.Threads.ToDictionary(thread => thread.Id, thread => thread.Id, StringComparer.Ordinal),
            _orders[seat]
                .Order.Project.Elements.ToDictionary(own => own.Id, own => Own(seat, own.Id), StringComparer.Ordinal)
        )
        {
            // The order and the layers of an opened file are each seat's own.
            Files = _orders[seat]
                .Order.Project.OpenedFiles.ToDictionary(
                    file => file.Id,
                    file => Own(seat, file.Id),
                    StringComparer.Ordinal
                ),
        };
        var renamed = NamedIds.Renamed(element, ids);
        var name = $"{_orders[seat].Number} · {element.Name}";
        return renamed with
        {
            Id = Own(seat, element.Id),
            Name = name.Length <= Limits.LongestName ? name : name[..Limits.LongestName],
            GroupId = element.GroupId is { } group ? Own(seat, group) : null,
            Box = element.Box.Moved(by.X, by.Y),
            StaysCentred = false,
            Operations =
            [
                .. renamed.Operations.Select(operation =>
                    operation.WithSources(id => _orders[seat].Order.Project.Find(id) is null ? id : Own(seat, id))
                ),
            ],
        };
    }

    private UserHandStep Seated(UserHandStep hand, int seat, Point by) =>
        hand with
        {
            Id = Own(seat, hand.Id),
            AreaOf = hand.AreaOf is { } of ? Own(seat, of) : null,
            Area = hand.Area?.Moved(by.X, by.Y),
            AlignedTo = hand.AlignedTo is { } line ? line with { OwnerId = Own(seat, line.OwnerId) } : null,
            Insert = hand.Insert is { } insert ? insert with { On = Own(seat, insert.On) } : null,
            LayerId =
                hand.LayerId is { } layer
                && _orders[seat].Order.Project.RunSheet.Hands.Any(own => own.Id == layer && IsOfOne(own))
                    ? Own(seat, layer)
                    : hand.LayerId,
        };

    /// <summary>The steps of all in the order of one: where it stands in the first order's run sheet each step is done for every seat;
    /// those of one thread follow one another.</summary>
    private ImmutableArray<StepKey> Sequence()
    {
        var alike = new List<StepKey>();
        foreach (var order in _orders)
        {
            var at = -1;
            foreach (var key in order.Order.RunSheet.Steps.Select(step => step.Key))
            {
                var known = alike.IndexOf(key);
                at = known >= 0 ? Math.Max(known, at) : at + 1;
                if (known < 0)
                {
                    alike.Insert(at, key);
                }
            }
        }
        var sequence = ImmutableArray.CreateBuilder<StepKey>();
        var last = "";
        foreach (var key in alike)
        {
            var own = Enumerable
                .Range(0, _orders.Count)
                .Select(seat =>
                    (Seat: seat, Step: _orders[seat].Order.RunSheet.Steps.FirstOrDefault(step => step.Key == key))
                )
                .Where(each => each.Step is not null)
                .ToList();
            if (own.Count == 0)
            {
                continue;
            }
            if (!IsOfSeat(own[0].Seat, key))
            {
                sequence.Add(key);
                continue;
            }
            var threads = own.Select(each => (each.Step as StitchStep)?.Stage.ThreadId ?? "")
                .Distinct(StringComparer.Ordinal)
                .ToList();
            // The thread that is in the needle goes on first.
            var begun = last;
            foreach (var (seat, step) in own.OrderBy(each => Rank((each.Step as StitchStep)?.Stage.ThreadId ?? "")))
            {
                sequence.Add(key with { OwnerId = Own(seat, key.OwnerId) });
                last = (step as StitchStep)?.Stage.ThreadId ?? last;
            }

            int Rank(string thread) => thread == begun ? -1 : threads.IndexOf(thread);
        }
        return sequence.ToImmutable();
    }

    private bool IsOfSeat(int seat, StepKey key)
    {
        var project = _orders[seat].Order.Project;
        return project.Find(key.OwnerId) is not null || OneHand(project, key);
    }
}
