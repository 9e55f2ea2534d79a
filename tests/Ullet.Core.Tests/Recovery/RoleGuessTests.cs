using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Opened;
using Ullet.Core.Patterns;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Recovery;

public sealed class RoleGuessTests
{
    [Fact]
    public void PatternsAndPieces_MostRolesAreRight_WrongOnesAreMarked_FewAreUnsure()
    {
        var (all, right, unsure) = (0, 0, 0);
        var wrong = new List<string>();
        foreach (var project in Projects())
        {
            var steps = SampleProject
                .Evaluate(project)
                .Hoopings[0]
                .Program.Steps.OfType<ProgramStitches>()
                .Where(step => step.Commands.Length > 0)
                .ToList();
            var readings = steps
                .Select(step => BlockReader.Read(DesignOfProgram.Points(step.Commands)))
                .ToImmutableArray();
            var roles = RoleGuess.Of(readings, [.. steps.Select(step => step.StopAfter)]);
            for (var i = 0; i < steps.Count; i++)
            {
                var meant =
                    RoleWords.Of(steps[i].Role)
                    ?? (
                        project.Find(steps[i].Key.OwnerId)?.Form is TextForm
                            ? OpenedRole.Lettering
                            : OpenedRole.Decoration
                    );
                all++;
                right += meant == roles[i].Role ? 1 : 0;
                unsure += roles[i].IsUnsure ? 1 : 0;
                if (meant != roles[i].Role && !roles[i].IsUnsure)
                {
                    wrong.Add($"{project.Title}, {steps[i].OwnerName}, {steps[i].Role}: {roles[i]}");
                }
            }
        }
        Assert.Empty(wrong);
        Assert.True(right >= 0.85 * all, $"{right} of {all}");
        Assert.True(unsure <= 0.2 * all, $"{unsure} of {all}");
    }

    [Theory]
    [InlineData("placement", OpenedRole.Placement)]
    [InlineData("tack-down with the panels' lines", OpenedRole.TackDown)]
    [InlineData("closing seam 2", OpenedRole.Seam)]
    [InlineData("basting in its seam allowance", OpenedRole.Basting)]
    [InlineData("holding line", OpenedRole.Cover)]
    public void WordsOfAFile_AreRoles(string words, OpenedRole role) => Assert.Equal(role, RoleWords.Of(words));

    [Fact]
    public void WordsThatOnlySayHow_AreNone() => Assert.Null(RoleWords.Of("satin"));

    private static IEnumerable<Project> Projects()
    {
        foreach (var pattern in PatternShelf.All)
        {
            yield return SampleProject.Apply(
                SampleProject.Empty(200, 300),
                new UsePattern { PatternId = pattern.Id }
            ) with
            {
                Title = pattern.Name,
            };
        }
        yield return SampleProject.With(new HeartShape());
        yield return SampleProject.With(new LeafShape(), method: Method.CutBeforehand);
        yield return SampleProject.With(new StarShape(), method: Method.LaidFirst);
        yield return SampleProject.With(new EllipseShape(), method: Method.RawEdge);
    }
}
