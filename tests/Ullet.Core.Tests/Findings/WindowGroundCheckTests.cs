using Ullet.Core.Edits;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Findings;

public sealed class WindowGroundCheckTests
{
    [Theory]
    [InlineData(Method.SetBehind, true, true)]
    [InlineData(Method.SetBehind, false, false)]
    [InlineData(Method.CutBeforehand, true, false)]
    public void AWindow_NeedsAGround(Method method, bool isAlone, bool isFound)
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape(), method: method),
            new SetHooping { StabiliserAlone = isAlone }
        );
        Assert.Equal(
            isFound,
            SampleProject.Evaluate(project).Findings.Any(finding => finding.Code == "window-without-ground")
        );
    }

    [Fact]
    public void ClothHoopedWithTheStabiliserAlone_IsNotCalledAlone()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape(), method: Method.LaidFirst),
            new SetHooping { StabiliserAlone = true }
        );
        var text = ((Core.RunSheets.HandStep)SampleProject.Evaluate(project).RunSheet.Steps[0]).Work.Text;
        Assert.StartsWith("Hoop tear-away, with beet cotton face up on top in the", text, StringComparison.Ordinal);
    }
}
