using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Orders;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Files.Tests.Orders;

/// <summary>Orders that share a hoop.</summary>
public sealed class SeveralInOneTests
{
    /// <summary>The shed-key tab with a word on it, in a hoop that takes several, its heart's cloth and thread open to choice.</summary>
    private static Evaluated Tab()
    {
        var project = new SetHooping { FieldWidth = 300, FieldHeight = 200 }
            .Apply(DemoWork.All["Shed-key tab"].Project, DemoWork.Context)
            .Value;
        project = Applied(
            project,
            new AddWords
            {
                Text = "Tools",
                FontId = "bree-serif",
                Use = WordsUse.Satin,
                CapHeight = 8,
                X = 0,
                Y = 32,
            }
        );
        var words = project.Elements[^1].Id;
        project = Applied(
            project,
            new MarkFillIn
            {
                FillIn = new WordsFillIn
                {
                    Id = "name",
                    Label = "Name",
                    ElementIds = [words],
                    Fit = new WordsFit { Room = new ElementBox(0, 32, 38, 12, 0), SmallestHeight = 4 },
                },
            }
        );
        project = Applied(
            project,
            new MarkFillIn
            {
                FillIn = new ThreadFillIn
                {
                    Id = "thread",
                    Label = "Heart’s thread",
                    ThreadId = "plum",
                    OptionIds = ["fern", "slate"],
                },
            }
        );
        return DemoWork.Context.Evaluator.Evaluate(project);
    }

    private static Project Applied(Project project, Edit edit)
    {
        var made = edit.Apply(project, DemoWork.Context);
        Assert.True(made.IsOk, made.Refusal?.Words);
        return made.Value;
    }

    private static readonly string[] Names =
    [
        "Spade",
        "Fork",
        "Hoe",
        "Rake",
        "Trowel",
        "Dibber",
        "Twine",
        "Shears",
        "Sieve",
        "Can",
        "Net",
        "Cane",
    ];

    private static ImmutableArray<SeatedOrder> Seated(Evaluated master, int count, Func<int, string> thread)
    {
        var judge = new OrderJudge(DemoWork.Context, master);
        return
        [
            .. Enumerable
                .Range(1, count)
                .Select(i =>
                {
                    var values = new OrderValues([
                        new OrderValue("name", Names[i - 1]),
                        new OrderValue("thread", thread(i)),
                    ]);
                    var judged = judge.Of(values);
                    Assert.True(judged.MayBeMade, string.Join(" ", judged.Findings.Select(each => each.Words)));
                    return new SeatedOrder($"id{i}", $"{i}", judged.Filled.Words, values, judged.Evaluated!);
                }),
        ];
    }

    [Theory]
    [InlineData(2)]
    [InlineData(5)]
    [InlineData(10)]
    public void LikeSteps_AreMerged_WithNoMoreStopsThanOneTakes_AndNoRuleBroken(int count)
    {
        var master = Tab();
        var several = new SeveralInOne(DemoWork.Context, master);
        // Three threads: a stop is for hands, so other threads add none.
        var seated = Seated(master, count, i => new[] { "plum", "fern green", "slate grey" }[i % 3]);
        var hoopings = several.Divided(seated).Value;
        Assert.Equal(count, hoopings.Sum(hooping => hooping.Length));
        var made = several.Made(hoopings[0], "hooping 1").Value;
        var evaluated = DemoWork.Context.Evaluator.Evaluate(made.Project);
        Assert.Empty(evaluated.RunSheet.Order.Broken);
        Assert.True(
            evaluated.RunSheet.StopCount <= seated[0].Order.RunSheet.StopCount,
            $"{evaluated.RunSheet.StopCount} stops, {seated[0].Order.RunSheet.StopCount} of one"
        );
        Assert.Single(evaluated.Program.Steps.OfType<ProgramHands>(), hands => hands.Kind == HandKind.HoopUp);
        Assert.DoesNotContain(evaluated.Findings, finding => finding.Level == Core.Findings.FindingLevel.Stop);
        AssertApart(evaluated);
    }

    /// <summary>What is sewn of each order lies in its own seat, and no two seats meet.</summary>
    private static void AssertApart(Evaluated evaluated)
    {
        var boxes = evaluated
            .Program.Steps.OfType<ProgramStitches>()
            .Where(step => step.Key.OwnerId.StartsWith('s'))
            .GroupBy(step => step.Key.OwnerId.Split('-')[0])
            .Select(group => Box.Of(group.SelectMany(step => step.OwnPoints())))
            .ToList();
        Assert.Equal(evaluated.Project.Seats.Length, boxes.Count);
        for (var i = 0; i < boxes.Count; i++)
        {
            Assert.All(boxes.Skip(i + 1), other => Assert.False(boxes[i].Grown(4).Overlaps(other.Grown(4))));
        }
        var field = evaluated.Project.Hooping.Hoop.Usable;
        Assert.All(boxes, box => Assert.True(field.Contains(box), $"{box} is not in {field}"));
    }

    [Fact]
    public void AnOrderThatIsLeftOut_LeavesItsSeatFree_AndTheOthersWhereTheyAre()
    {
        var master = Tab();
        var several = new SeveralInOne(DemoWork.Context, master);
        var seated = Seated(master, 5, _ => "plum");
        var all = several.Made(seated, "all").Value.Project;
        var without = several
            .Made([.. seated.Select(order => order with { IsLeftOut = order.Number == "4" })], "all but 4")
            .Value.Project;
        Assert.Equal(["1", "2", "3", "5"], without.Seats.Select(seat => seat.Number));
        Assert.Equal(
            all.Seats.Where(seat => seat.Number != "4").Select(seat => seat.Box),
            without.Seats.Select(seat => seat.Box)
        );
        Assert.DoesNotContain(without.Elements, element => element.Name.StartsWith("4 ", StringComparison.Ordinal));
    }

    [Fact]
    public void CutPieces_OfAllOrders_ShareTheirSheets_EachWithItsNumberDrawnOnIt()
    {
        var master = Tab();
        var made = new SeveralInOne(DemoWork.Context, master).Made(Seated(master, 6, _ => "plum"), "six").Value;
        var evaluated = DemoWork.Context.Evaluator.Evaluate(made.Project);
        var sheets = evaluated
            .Sheets.Where(sheet =>
                sheet.Shapes.Any(placed => placed.Shape.Name.Contains("Heart", StringComparison.Ordinal))
            )
            .ToList();
        Assert.Single(sheets);
        Assert.Equal(6, sheets[0].Shapes.Length);
        Assert.Equal(
            ["1", "2", "3", "4", "5", "6"],
            sheets[0].Shapes.Select(placed => placed.Shape.Name.Split(' ')[0]).Order()
        );
        var page = new Files.CutFiles.CutFileWish(Files.CutFiles.CutFormat.Svg);
        Assert.True(made.Project.Cut.Of(sheets[0].Cloth.Id).Marks.Labels, $"{page} would bear no labels");
    }

    [Fact]
    public void APatternThatTakesSeveral_HasOtherWordsInEachPlace()
    {
        var master = DemoWork.All["Plot patch"];
        var judge = new OrderJudge(DemoWork.Context, master);
        var seated = Enumerable
            .Range(1, 7)
            .Select(i =>
            {
                var values = new OrderValues([
                    new OrderValue("p-words", $"Plot {i}"),
                    new OrderValue("p-motif", i % 2 == 0 ? "Star" : "Leaf"),
                ]);
                var judged = judge.Of(values);
                return new SeatedOrder($"id{i}", $"{i}", judged.Filled.Words, values, judged.Evaluated!);
            })
            .ToList();
        var several = new SeveralInOne(DemoWork.Context, master);
        var hoopings = several.Divided(seated).Value;
        Assert.Equal([6, 1], hoopings.Select(hooping => hooping.Length));
        var made = several.Made(hoopings[0], "hooping 1 of 2").Value;
        var evaluated = DemoWork.Context.Evaluator.Evaluate(made.Project);
        var texts = evaluated.Project.Elements.Select(element => element.FormedAs<TextForm>()?.Text).OfType<string>();
        Assert.Equal(["Plot 1", "Plot 2", "Plot 3", "Plot 4", "Plot 5", "Plot 6"], texts.Order());
        Assert.Equal(6, made.Project.Seats.Length);
        Assert.Equal(seated[0].Order.RunSheet.StopCount, evaluated.RunSheet.StopCount);
        Assert.Empty(evaluated.RunSheet.Order.Broken);
        var left = several.Made([.. hoopings[0].Select(order => order with { IsLeftOut = order.Number == "2" })], "x");
        Assert.Equal("seat-of-pattern", left.Refusal?.Code);
    }

    [Fact]
    public void AnOrderThatTakesTheWholeHoop_IsRefusedWithItsSize()
    {
        var master = DemoWork.All["Seed-packet pouch"];
        var judged = new OrderJudge(DemoWork.Context, master).Of(new OrderValues([new OrderValue("p-name", "Ama")]));
        var seat = new SeatedOrder("a", "1", "Ama", OrderValues.None, judged.Evaluated!);
        var refused = new SeveralInOne(DemoWork.Context, master).Divided([seat, seat]);
        Assert.Equal("several-of-pattern", refused.Refusal?.Code);
        Assert.Contains("only one can lie in a hoop", refused.Refusal!.Words, StringComparison.Ordinal);
    }
}
