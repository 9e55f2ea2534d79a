using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Layers;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Patterns;

/// <summary>Patterns at sizes, variants, outlines and words drawn by a seed.</summary>
public sealed class SeededPatternTests
{
    private static readonly string[] Words = ["", "Al", "Seeds", "Plot 14", "Tom & Bo", "MMMMMMMMMMMM", "1 2 3"];

    [Theory]
    [InlineData("zip-pouch", 11)]
    [InlineData("mug-rug", 12)]
    [InlineData("harvest-patch", 13)]
    public void Patterns_OfAnySizeVariantAndWords_CanBeSewnAndTurned(string id, int seed)
    {
        var random = new Random(FromOutside("ULLET_SEED") ?? seed);
        var (made, wishes) = (0, FromOutside("ULLET_WISHES") ?? 14);
        for (var i = 0; i < wishes; i++)
        {
            var wish = Wish(PatternShelf.Find(id)!, random);
            var result = wish.Apply(SampleProject.Empty(), SampleProject.Context);
            if (!result.IsOk)
            {
                Assert.EndsWith(".", result.Refusal!.Words, StringComparison.Ordinal);
                continue;
            }
            made++;
            AssertRight(result.Value);
        }
        Assert.InRange(made, wishes / 3, wishes);
    }

    /// <summary>More of them, or others, can be asked for by the environment.</summary>
    private static int? FromOutside(string name) =>
        int.TryParse(Environment.GetEnvironmentVariable(name), out var number) ? number : null;

    /// <summary>Something that may be asked of a pattern, each number anywhere in its range.</summary>
    private static UsePattern Wish(IPattern pattern, Random random) =>
        new()
        {
            PatternId = pattern.Id,
            FontId = BlockFonts.Id,
            Numbers =
            [
                .. pattern.Numbers.Select(field => new PatternNumber(
                    field.Id,
                    field.IsCount ? random.Next((int)field.Least, (int)field.Most + 1)
                        : field.Id == "gap" ? field.Usual
                        : Math.Round(
                            field.Least + ((field.Most - field.Least) * random.NextDouble() * random.NextDouble()),
                            1
                        )
                )),
            ],
            Choices =
            [
                .. pattern.Choices.Select(choice => new PatternPick(
                    choice.Id,
                    choice
                        .Options.Where(option => option.Id != "own")
                        .ElementAt(random.Next(choice.Options.Count(option => option.Id != "own")))
                        .Id
                )),
            ],
            FillIns =
            [
                .. pattern.FillIns.Select(fill => new PatternText(
                    fill.Id,
                    fill.Choices.IsEmpty
                        ? Words[random.Next(Words.Length)]
                        : fill.Choices[random.Next(fill.Choices.Length)]
                )),
            ],
        };

    private static void AssertRight(Project project)
    {
        var use = project.Pattern!;
        var name =
            $"{use.PatternId} {string.Join(", ", use.Numbers)} {string.Join(", ", use.Choices)} {string.Join(", ", use.FillIns)}";
        var evaluated = SampleProject.Evaluate(project);
        Assert.True(
            evaluated.Findings.All(finding => finding.Level != FindingLevel.Stop),
            $"{name}: {evaluated.Findings.FirstOrDefault(found => found.Level == FindingLevel.Stop)?.Words}"
        );
        Assert.Empty(evaluated.RunSheet.Order.Broken);
        var steps = evaluated.RunSheet.Steps;
        if (evaluated.Findings.Any(finding => finding.Code == "turning-narrow"))
        {
            // Said only where the outline leaves no room for a wider gap.
            var asked = PatternNumbers.Of(PatternShelf.Find(use.PatternId)!, use).Value;
            Assert.InRange(PouchSizes.Of(asked).Value.Gap!.Length, 20, 48);
        }
        foreach (var code in new[] { "layer-not-sewn", "fold-sewn-down" })
        {
            Assert.True(
                evaluated.Findings.All(finding => finding.Code != code),
                $"{name}: {evaluated.Findings.FirstOrDefault(finding => finding.Code == code)?.Words}"
            );
        }
        if (steps.OfType<HandStep>().Any(step => step.Work.Kind == HandKind.Turn))
        {
            Assert.Equal(TurningAnswer.Through, evaluated.Turning!.Answer);
            Assert.Equal(WayOf(use), evaluated.Turning.WayWords);
        }
    }

    private static string WayOf(PatternUse use) =>
        use.PatternId == "mug-rug"
            ? "through the gap in the seam"
            : use.ChoiceOf("variant") switch
            {
                "lined" => "through the gap in the lining, then through the zip",
                _ => "through the zip",
            };
}
