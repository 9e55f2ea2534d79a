using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.RunSheets;

public sealed class OpenedRuleTests
{
    private static readonly Project Opened = OpenedSample.Opened(SampleProject.With(new HeartShape(), 80, 80));

    [Fact]
    public void WhatIsAddedOntoALaidCloth_IsSewnAfterItIsLaid()
    {
        var added = SampleProject.Apply(Opened, SampleProject.Add(new LeafShape(), 10, 10));
        var steps = SampleProject.Evaluate(added).RunSheet.Steps;
        var leaf = steps.Select((step, i) => (step, i)).First(pair => pair.step.OwnerId == added.Elements[^1].Id).i;
        var laid = steps
            .Select((step, i) => (step, i))
            .First(pair => pair.step is HandStep { Work.Kind: HandKind.Lay })
            .i;
        Assert.True(laid < leaf);
        var moved = SampleProject.Apply(added, new MoveStep { StepKey = steps[leaf].Key.ToString(), To = 1 });
        var broken = SampleProject.Evaluate(moved).RunSheet.Order.Broken;
        Assert.Contains(broken, pair => pair.Rule == "opened-layer");
        Assert.Empty(SampleProject.Evaluate(SampleProject.Apply(moved, new PutRight())).RunSheet.Order.Broken);
    }

    [Fact]
    public void WhatIsAdded_IsSewnBeforeABackingIsLaid()
    {
        var first = Opened.Elements[^1];
        var backing = new OpenedHands(HandKind.LayBehind, "Lay the backing behind.")
        {
            HoopOff = true,
            Changes =
            [
                new OpenedLaid(
                    "back",
                    "Backing",
                    "felt",
                    false,
                    true,
                    Core.Layers.LayerRole.Lining,
                    [
                        new OpenedArea([
                            [-60, -60, 60, -60, 60, 60, -60, 60],
                        ]),
                    ]
                ),
            ],
        };
        var opened = first.MadeAs<OpenedMaking>()!;
        var closed = Opened.With(first with { Making = opened with { Before = opened.Before.Add(backing) } });
        var added = SampleProject.Apply(closed, SampleProject.Add(new LeafShape(), 10, 10));
        var steps = SampleProject.Evaluate(added).RunSheet.Steps.ToList();
        var leaf = steps.FindLastIndex(step => step.OwnerId == added.Elements[^1].Id);
        Assert.True(leaf < steps.FindIndex(step => step is HandStep { Work.Kind: HandKind.LayBehind }));
    }

    [Fact]
    public void FreedBlocks_ThatTouchNothing_MayBeSewnAnywhere()
    {
        var two = SampleProject.Apply(
            SampleProject.Empty(),
            new DrawLine { Line = new DrawnLine(-60, -70, [new DrawnCurve(-60, -70, -20, -70, -20, -70)]) },
            new DrawLine { Line = new DrawnLine(20, 70, [new DrawnCurve(20, 70, 60, 70, 60, 70)]) }
        );
        var opened = OpenedSample.Opened(two, withHands: false);
        var freed = SampleProject.Apply(
            opened,
            new SetOpened { ElementIds = [.. opened.Elements.Select(element => element.Id)], IsFree = true }
        );
        var steps = SampleProject.Evaluate(freed).RunSheet.Steps.OfType<StitchStep>().ToList();
        var moved = SampleProject.Apply(freed, new MoveStep { StepKey = steps[1].Key.ToString(), To = 1 });
        Assert.Empty(SampleProject.Evaluate(moved).RunSheet.Order.Broken);
        var kept = SampleProject.Apply(opened, new MoveStep { StepKey = steps[1].Key.ToString(), To = 1 });
        Assert.NotEmpty(SampleProject.Evaluate(kept).RunSheet.Order.Broken);
    }

    [Fact]
    public void AnotherThreadBetweenTwoParts_CutsAndLocksTheThreadThere()
    {
        var split = SampleProject.Apply(
            Opened,
            new SplitOpened
            {
                ElementId = Opened.Elements[^1].Id,
                Where = SplitWhere.Point,
                At = 300,
            }
        );
        var whole = OpenedSample.Sewn(Opened).Sum(commands => commands.Length);
        Assert.Equal(whole, OpenedSample.Sewn(split).Sum(commands => commands.Length));
        var recoloured = SampleProject.Apply(
            split,
            new SetSeenThread { ElementId = split.Elements[^1].Id, ThreadId = "line" }
        );
        var program = SampleProject.Evaluate(recoloured).Hoopings[0].Program;
        var parts = program.Steps.OfType<Core.Program.ProgramStitches>().TakeLast(2).ToList();
        Assert.Equal(Core.Program.NeedleKind.Trim, parts[0].Commands[^1].Kind);
        Assert.Equal(Core.Program.NeedleKind.Jump, parts[1].Commands[0].Kind);
        Assert.True(OpenedSample.Sewn(recoloured).Sum(commands => commands.Length) > whole);
    }
}
