using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Findings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Fonts;
using Ullet.Server.Demo;

namespace Ullet.Server.Tests;

/// <summary>Every demo project in other sizes: what comes out can be sewn as well as what went in.</summary>
public sealed class VariantsOfDemoTests
{
    private static readonly Evaluator Evaluator = new(new StationCache(), new FontShelf());

    private static readonly EditContext Context = new(Evaluator);

    public static TheoryData<string> Titles => [.. DemoShelf.Projects().Select(project => project.Title)];

    [Theory]
    [MemberData(nameof(Titles))]
    public void AVariant_FitsItsHoop_KeepsItsNumbers_AndIsStoppedByNothingNew(string title)
    {
        var project = DemoShelf.Projects().Single(each => each.Title == title);
        var stops = Stops(project);
        foreach (var by in new[] { 0.85, 1.2 })
        {
            var sized = Resized(project, by);
            var evaluated = Evaluator.Evaluate(sized);
            Assert.True(sized.Hooping.Hoop.Holds(evaluated.DesignBounds()), $"{title} at {by}");
            Assert.Empty(Stops(sized).Except(stops));
            Assert.Equal(
                project.Elements.Select(element => element.MadeAs<ClothMaking>()?.Stages),
                sized.Elements.Select(element => element.MadeAs<ClothMaking>()?.Stages)
            );
            Assert.Equal(project.Threads, sized.Threads);
        }
    }

    private static Project Resized(Project project, double by)
    {
        var edit = project.Pattern is { } use
            ? new ResizeDesign
            {
                Numbers =
                [
                    .. Ullet
                        .Core.Patterns.PatternShelf.Find(use)!
                        .Numbers.Where(field => field.Id == "width")
                        .Select(field => new PatternNumber(
                            field.Id,
                            Math.Clamp(
                                Math.Round((use.NumberOf(field.Id) ?? field.Usual) * by),
                                field.Least,
                                field.Most
                            )
                        )),
                ],
            }
            : new ResizeDesign { Width = ResizeDesign.BareBox(project, Context).Width * by };
        var made = edit.Apply(project, Context);
        Assert.True(made.IsOk, made.Refusal?.Words);
        return made.Value;
    }

    private static HashSet<string> Stops(Project project) =>
        Evaluator
            .Evaluate(project)
            .Findings.Where(finding => finding.Level == FindingLevel.Stop)
            .Select(finding => finding.Code)
            .ToHashSet(StringComparer.Ordinal);
}
