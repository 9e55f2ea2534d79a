using System.Collections.Concurrent;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Patterns;

/// <summary>Keeps plans by what they depend on: projects that differ only in what their words say have one.</summary>
internal static class LikePlans
{
    /// <summary>So many are kept; then it is begun anew.</summary>
    private const int Most = 64;

    private static readonly ConcurrentDictionary<string, PatternPlan> Known = new(StringComparer.Ordinal);

    /// <summary>What a project's pattern gives; null where it can't be made.</summary>
    internal static PatternPlan? Of(Project project, PatternUse use) =>
        Kept(Key(project, use), () => PatternShelf.Plan(use, new PatternStuff(project))) is { IsOk: true } plan
            ? plan.Value
            : null;

    /// <summary>What a pattern gives of its own cloths and threads, or why it can't.</summary>
    internal static Result<PatternPlan> Of(PatternUse use) =>
        // What is no number has no key; the plan refuses it.
        use.Numbers.Any(number => !double.IsFinite(number.Value))
            ? PatternShelf.Plan(use)
            : Kept(ContentHash.Of(Chosen(use), "plan of its own").Hex, () => PatternShelf.Plan(use));

    private static Result<PatternPlan> Kept(string key, Func<Result<PatternPlan>> make)
    {
        if (Known.TryGetValue(key, out var known))
        {
            return known;
        }
        var made = make();
        if (!made.IsOk)
        {
            return made;
        }
        if (Known.Count >= Most)
        {
            Known.Clear();
        }
        return Known[key] = made.Value;
    }

    /// <summary>A use without what its words say: plans do not read it.</summary>
    private static PatternUse Chosen(PatternUse use)
    {
        var chosen = (PatternShelf.Find(use)?.FillIns ?? [])
            .Where(fill => !fill.Choices.IsEmpty)
            .Select(fill => fill.Id)
            .ToHashSet(StringComparer.Ordinal);
        return use with { FillIns = [.. use.FillIns.Where(text => chosen.Contains(text.Id))] };
    }

    /// <summary>Everything that a plan reads: the numbers and choices, motifs among them, and the project's cloths and threads.</summary>
    private static string Key(Project project, PatternUse use)
    {
        var stuff = new
        {
            Use = Chosen(use),
            project.Cloths,
            project.Threads,
            project.Hooping.LineThreadId,
            project.Hooping.CoverThreadId,
            Covers = project
                .Elements.Where(element => element.PatternPart is not null)
                .Select(element => (element.Id, element.SettingsOf<ClothMaking>()?.Stages.Cover.ThreadId))
                .Select(pair => $"{pair.Id} {pair.ThreadId}"),
        };
        return ContentHash.Of(stuff, "plan").Hex;
    }
}
