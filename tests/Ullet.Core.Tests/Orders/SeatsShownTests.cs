using Ullet.Core.Booklets;
using Ullet.Core.Moments;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Orders;

/// <summary>Where orders of a shared hooping lie is told on its drawings and in its booklet.</summary>
public sealed class SeatsShownTests
{
    private static Project Shared() =>
        SampleProject.Apply(
            SampleProject.Empty(),
            SampleProject.Add(new HeartShape(), 30, 28, Method.CutBeforehand) with
            {
                Name = "7 · Heart",
                Box = new ElementBox(-30, 0, 30, 28, 0),
            },
            SampleProject.Add(new HeartShape(), 30, 28, Method.CutBeforehand) with
            {
                Name = "12 · Heart",
                Box = new ElementBox(30, 0, 30, 28, 0),
            }
        ) with
        {
            Seats =
            [
                new Seat("7", "Ama", new ElementBox(-30, 0, 30, 28, 0)),
                new Seat("12", "Jo", new ElementBox(30, 0, 30, 28, 0)),
            ],
            RunSheet = new RunSheetOverrides { Order = StitchOrder.Together },
        };

    [Fact]
    public void EveryDrawingInTheHoop_BearsTheOrdersNumbers_OverTheirPlaces()
    {
        var evaluated = SampleProject.Evaluate(Shared());
        var inHoop = HoopMoments
            .Of(evaluated.Hoopings[0])
            .Where(moment => moment.View is MomentView.Front or MomentView.Back)
            .ToList();
        Assert.NotEmpty(inHoop);
        Assert.All(
            inHoop,
            moment =>
                Assert.Equal(
                    [("7", -30.0, -14.0), ("12", 30.0, -14.0)],
                    moment.Parts.OfType<SeatPart>().Select(seat => (seat.Number, seat.At.X, seat.At.Y))
                )
        );
    }

    [Fact]
    public void TheBooklet_ListsTheOrders_AndSaysWhoseTheSizeIs()
    {
        var facts = BookletMaker.Of(SampleProject.Evaluate(Shared())).Facts;
        Assert.Contains(facts, fact => fact is { What: "Orders, row by row", Said: "7 (Ama), 12 (Jo)" });
        Assert.DoesNotContain(facts, fact => fact.What == "Finished size");
        var alone = BookletMaker.Of(SampleProject.Evaluate(Shared() with { Seats = [] })).Facts;
        Assert.DoesNotContain(alone, fact => fact.What == "Orders, row by row");
    }

    [Fact]
    public void EqualSteps_AreNumberedByTheirOrders()
    {
        var groups = Core.Program.EqualSteps.Of(SampleProject.Evaluate(Shared()).Program);
        Assert.Contains(groups, group => group.Places.Select(place => place.Number).Order().SequenceEqual([7, 12]));
        Assert.Contains(groups, group => group.Text.Contains("7 and 12", StringComparison.Ordinal));
    }
}
