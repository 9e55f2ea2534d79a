using System.Text.RegularExpressions;
using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Findings;

public sealed partial class FindingTableTests
{
    [Fact]
    public void EveryRow_IsFoundByACheck_AndHasANameOfItsOwn()
    {
        var checks = string.Concat(
            Directory
                .EnumerateFiles(Path.Combine(Repository.Root, "src/Ullet.Core/Findings"), "*Check.cs")
                .Concat(Directory.EnumerateFiles(Path.Combine(Repository.Root, "src/Ullet.Core/Findings"), "*Words.cs"))
                .Select(File.ReadAllText)
        );
        Assert.All(FindingTable.All, row => Assert.Contains($"\"{row.Code}\"", checks, StringComparison.Ordinal));
        Assert.Equal(FindingTable.All.Length, FindingTable.All.Select(row => row.Name).Distinct().Count());
        Assert.All(FindingTable.All, row => Assert.Matches(Kebab(), row.Code));
    }

    [Fact]
    public void AFinding_WithoutARow_CantBeMade()
    {
        Assert.Throws<KeyNotFoundException>(() => new Finding("made-up", FindingLevel.Tip, null, null, ""));
        var known = new Finding("crumbs", FindingLevel.Tip, null, null, "");
        Assert.Throws<KeyNotFoundException>(() => known with { Code = "made-up" });
    }

    [Fact]
    public void TwoThreadsAlike_AreATip_WithAMendEitherWay()
    {
        var project = SampleProject.With(new HeartShape());
        Assert.DoesNotContain(SampleProject.Evaluate(project).Findings, finding => finding.Code == "threads-alike");
        var alike = project with
        {
            Threads = [.. project.Threads.Select(thread => thread with { Colour = "#445566" })],
        };
        var found = Assert.Single(SampleProject.Evaluate(alike).Findings, finding => finding.Code == "threads-alike");
        Assert.Equal((FindingLevel.Tip, 2), (found.Level, found.Mends.Length));
        foreach (var mend in found.Mends)
        {
            var mended = SampleProject.Apply(alike, MendEdits.Of(mend, alike));
            Assert.DoesNotContain(SampleProject.Evaluate(mended).Findings, each => each.Code == "threads-alike");
        }
    }

    [Fact]
    public void ThreadsOfTwoKinds_AreNotAlike()
    {
        var project = SampleProject.With(new HeartShape());
        var shiny = project with
        {
            Threads =
            [
                project.Threads[0] with
                {
                    Colour = "#445566",
                },
                project.Threads[1] with
                {
                    Colour = "#445566",
                    Kind = ThreadKind.Rayon,
                },
            ],
        };
        Assert.DoesNotContain(SampleProject.Evaluate(shiny).Findings, finding => finding.Code == "threads-alike");
    }

    [GeneratedRegex("^[a-z]+(-[a-z]+)*$", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Kebab();
}
