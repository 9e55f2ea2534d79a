using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Patterns;

/// <summary>Projects made from patterns.</summary>
internal static class PatternSamples
{
    internal static UsePattern Use(string id, params (string Id, double Value)[] numbers) =>
        new()
        {
            PatternId = id,
            FontId = BlockFonts.Id,
            Numbers = [.. numbers.Select(number => new PatternNumber(number.Id, number.Value))],
        };

    internal static Project Make(string id, params (string Id, double Value)[] numbers) =>
        SampleProject.Apply(SampleProject.Empty(), Use(id, numbers));

    internal static Project Filled(Project project, string fillIn, string text) =>
        SampleProject.Apply(
            project,
            new UsePattern
            {
                PatternId = project.Pattern!.PatternId,
                FontId = BlockFonts.Id,
                FillIns = [new PatternText(fillIn, text)],
            }
        );

    /// <summary>Every pattern at its smallest, usual and largest size.</summary>
    internal static IEnumerable<(string Name, Project Project)> Sizes()
    {
        foreach (var pattern in PatternShelf.All)
        {
            yield return ($"{pattern.Id}, usual", Make(pattern.Id));
            yield return ($"{pattern.Id}, smallest", Make(pattern.Id, [.. Extremes(pattern, field => field.Least)]));
            yield return ($"{pattern.Id}, largest", Make(pattern.Id, [.. Extremes(pattern, field => field.Most)]));
        }
    }

    /// <summary>The sizes; counts and what it is turned through stay as usual, and what the pattern refuses together is taken back.</summary>
    private static List<(string Id, double Value)> Extremes(IPattern pattern, Func<PatternNumberField, double> pick)
    {
        var numbers = pattern
            .Numbers.Where(field => !field.IsCount && field.Id != "gap")
            .Select(field => (field.Id, Value: pick(field)))
            .ToList();
        PatternNumber[] Asked() => [.. numbers.Select(number => new PatternNumber(number.Id, number.Value))];
        while (
            PatternShelf.Plan(PatternShelf.Begun(pattern.Id) with { Numbers = [.. Asked()] }) is { IsOk: false } refused
        )
        {
            Assert.True(numbers.RemoveAll(number => number.Id == refused.Refusal!.Place) > 0, refused.Refusal!.Words);
        }
        return numbers;
    }
}
