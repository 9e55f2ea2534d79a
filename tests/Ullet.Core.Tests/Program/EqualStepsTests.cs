using Ullet.Core.Edits;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Program;

/// <summary>Equal hand steps in a row are one card.</summary>
public sealed class EqualStepsTests
{
    [Fact]
    public void SixLeavesTogether_AreLaidWithOneCard_AndTrimmedUnderTheSameNumbers()
    {
        var program = Leaves(6);
        var groups = EqualSteps.Of(program);
        Assert.Equal(2, groups.Length);
        Assert.All(groups, group => Assert.Equal([1, 2, 3, 4, 5, 6], group.Places.Select(place => place.Number)));
        Assert.StartsWith(
            "Six times, 1 to 6 on the picture: lay beet cotton face up over the placement line;",
            groups[0].Text,
            StringComparison.Ordinal
        );
        Assert.Contains("trim beet cotton close to the tack-down", groups[1].Text, StringComparison.Ordinal);
        foreach (var group in groups)
        {
            for (var i = 0; i < group.Count; i++)
            {
                // The number stands in the middle of its own piece.
                var step = program.Steps[group.First + i];
                var own = program.Steps.OfType<ProgramStitches>().First(sewn => sewn.Key.OwnerId == step.Key.OwnerId);
                var middle = Ullet.Core.Geometry.Box.Of(own.OwnPoints()).Centre;
                Assert.InRange(middle.DistanceTo(group.Places[i].At), 0, 0.5);
            }
        }
    }

    [Fact]
    public void OtherCloth_OrANoteOfOnesOwn_StandsAlone()
    {
        Assert.Empty(
            EqualSteps
                .Of(Leaves(2, changes: new SetPieceCloth { ElementId = "e2", ClothId = "felt" }))
                .Where(group => group.Count > 1)
        );
        var noted = EqualSteps.Of(Leaves(3, changes: new NoteStep { StepKey = "e2.lay.0", Note = "the torn one" }));
        Assert.DoesNotContain(noted, group => group.Text.Contains("lay beet", StringComparison.Ordinal));
        Assert.Empty(EqualSteps.Of(Leaves(1)));
    }

    [Fact]
    public void LeavesWhoseCloths_WouldLieOverOneAnother_TakeOneSheet()
    {
        var near = EqualSteps.Of(Leaves(3, apart: 40))[0];
        Assert.StartsWith(
            "Once for 1 to 3 on the picture: lay beet cotton face up over the placement lines; one sheet of at least 128 × 48 mm",
            near.Text,
            StringComparison.Ordinal
        );
        Assert.StartsWith("Three times", EqualSteps.Of(Leaves(3, apart: 50))[0].Text, StringComparison.Ordinal);
    }

    private static StitchProgram Leaves(int count, Edit? changes = null, double apart = 60)
    {
        var project = SampleProject.Empty(200, 200);
        for (var i = 0; i < count; i++)
        {
            project = SampleProject.Apply(
                project,
                SampleProject.Add(new EllipseShape(), 24, 24) with
                {
                    Box = new ElementBox((i % 3 * apart) - 60, (i / 3 * 60) - 30, 24, 24, 0),
                    Name =
                        i == 0 ? "Leaf"
                        : i == 1 ? "Leaf copy"
                        : $"Leaf {i + 1}",
                }
            );
        }
        project = SampleProject.Apply(project, new SetOrder { Order = StitchOrder.Together });
        return SampleProject.Evaluate(changes is null ? project : SampleProject.Apply(project, changes)).Program;
    }
}
