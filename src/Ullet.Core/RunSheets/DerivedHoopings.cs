using System.Collections.Immutable;
using Ullet.Core.Makings;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>A hooping with its steps.</summary>
/// <param name="Hooping">What is hooped, in which hoop.</param>
/// <param name="RunSheet">Its steps.</param>
public sealed record HoopingSheet(Hooping Hooping, RunSheet RunSheet);

/// <summary>The hoopings that methods ask for: one for each cloth that pieces are marked on.</summary>
public static class DerivedHoopings
{
    /// <summary>Each with the steps in which its pieces are marked and cut out.</summary>
    public static ImmutableArray<HoopingSheet> Of(Project project, IReadOnlyDictionary<string, ElementAtWork> work) =>
        [
            .. project
                .Elements.SelectMany(element => work[element.Id].Marked.Select(marked => (element, marked)))
                .GroupBy(pair => pair.marked.Cloth.Id, StringComparer.Ordinal)
                .Select(group => Sheet(project, [.. group])),
        ];

    private static HoopingSheet Sheet(Project project, ImmutableArray<(Element Element, MarkedPiece Marked)> pieces)
    {
        var cloth = pieces[0].Marked.Cloth;
        var hooping = project.Derived($"guide-{cloth.Id}", $"Cut guides on {cloth.Name}", cloth.Id);
        var steps = ImmutableArray.CreateBuilder<RunStep>();
        steps.Add(StepGathering.Hand(project, hooping.Id, hooping.Name, HoopingSteps.HoopUp(project, hooping, [])));
        foreach (var (element, marked) in pieces)
        {
            steps.Add(new StitchStep(marked.Stage.Key, element.Id, marked.Name, marked.Stage));
        }
        foreach (var (element, marked) in pieces)
        {
            if (marked.After is { } after)
            {
                steps.Add(StepGathering.Hand(project, element.Id, marked.Name, after, marked.Ordinal));
            }
        }
        return new HoopingSheet(hooping, new RunSheet(steps.ToImmutable()));
    }
}
