using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Patterns;

/// <summary>The patterns that ship with Ullet.</summary>
public static class PatternShelf
{
    public static readonly ImmutableArray<IPattern> All = [new HarvestPatch(), new ZipPouch(), new MugRug()];

    /// <summary>Earlier makings of patterns, for projects that were made by them.</summary>
    private static readonly ImmutableArray<IPattern> Earlier =
    [
        new FirstZipPouch(),
        new FirstMugRug(),
        new FirstHarvestPatch(),
    ];

    /// <summary>The pattern as a project uses it: in the making that it was made by; null where there is no such pattern.</summary>
    public static IPattern? Find(PatternUse use) =>
        All.Concat(Earlier)
            .FirstOrDefault(pattern => pattern.Id == use.PatternId && pattern.Making == (use.Making ?? 1));

    /// <summary>A use of a pattern as it is made today, with its usual numbers.</summary>
    public static PatternUse Begun(string id) =>
        new(id) { Making = Find(id) is { Making: > 1 } pattern ? pattern.Making : null };

    /// <summary>True when a project was made by an earlier making of its pattern.</summary>
    public static bool IsEarlier(PatternUse use) => Find(use.PatternId) is { } now && now.Making > (use.Making ?? 1);

    public static IPattern? Find(string id) => All.FirstOrDefault(pattern => pattern.Id == id);

    private static readonly ConditionalWeakTable<Project, PatternPlan> Plans = [];

    /// <summary>What a project's pattern gives; null for a project made by hand, or whose pattern is not known any more.</summary>
    /// <remarks>Made once for a document: it is asked for at many places.</remarks>
    public static PatternPlan? PlanOf(Project project)
    {
        if (project.Pattern is not { } use)
        {
            return null;
        }
        if (Plans.TryGetValue(project, out var known))
        {
            return known;
        }
        if (LikePlans.Of(project, use) is not { } plan)
        {
            return null;
        }
        Plans.AddOrUpdate(project, plan);
        return plan;
    }

    /// <summary>What the user added on the panels of a project's pattern.</summary>
    public static IEnumerable<Element> AdditionsOf(Project project)
    {
        var panels = (PlanOf(project)?.Panels ?? []).Select(panel => new AreaIndex(panel.Area)).ToList();
        return project.Elements.Where(element =>
            element.PatternPart is null && panels.Exists(panel => panel.Holds(new Point(element.Box.X, element.Box.Y)))
        );
    }

    /// <summary>The smallest hoop that takes a plan's stitching, also used sideways; null when none does.</summary>
    public static Hoop? SmallestHoop(PatternPlan plan) =>
        Hoop.Catalogue.SelectMany(hoop => new[] { hoop, hoop.Turned() }).FirstOrDefault(hoop => Takes(hoop, plan));

    /// <summary>True when a plan's stitching lies in a hoop's field.</summary>
    public static bool Takes(Hoop hoop, PatternPlan plan) =>
        Box.Centred(hoop.FieldWidth, hoop.FieldHeight).Contains(plan.Sewn, 1e-6)
        && (plan.Behind is not { } behind || hoop.Inside.Contains(behind, 1e-6));

    /// <summary>What a pattern gives, or why it can't.</summary>
    public static Result<PatternPlan> Plan(PatternUse use, PatternStuff? stuff = null)
    {
        if (Find(use) is not { } pattern)
        {
            return new Refusal(
                "pattern-unknown",
                "patternId",
                $"There is no pattern \"{use.PatternId}\" in this Ullet."
            )
            {
                Kind = RefusalKind.NotFound,
            };
        }
        return PatternNumbers
            .Of(pattern, use)
            .Then(numbers => (Result<PatternPlan>)pattern.Make(numbers, use, stuff ?? new PatternStuff()));
    }
}
