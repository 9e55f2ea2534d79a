using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Says what a shape's outline is for: cut, drawn or scored.</summary>
public sealed record SetCutRole : ClothCutEdit
{
    public required string Key { get; init; }

    public required CutRole Role { get; init; }

    public override string Label(Project before) => "Change what an outline is for";

    private protected override Result<ClothCut> Change(ClothCut cut, Project project, EditContext context)
    {
        var rest = cut.Roles.RemoveAll(role => role.Key == Key);
        return cut with { Roles = Role == CutRole.Cut ? rest : rest.Add(new ShapeRole(Key, Role)) };
    }
}

/// <summary>Keeps shapes in their places to one another on a packed sheet, or lets them go.</summary>
public sealed record KeepTogether : ClothCutEdit
{
    public required ImmutableArray<string> Keys { get; init; }

    /// <summary>False lets every group go that one of the shapes is in.</summary>
    public required bool Together { get; init; }

    public override string Label(Project before) => Together ? "Keep shapes together" : "Let shapes go";

    private protected override Result<ClothCut> Change(ClothCut cut, Project project, EditContext context)
    {
        if (Together && Keys.Distinct(StringComparer.Ordinal).Count() < 2)
        {
            return new Refusal("together-alone", "keys", "Choose at least two shapes to keep together.");
        }
        var met = cut.Together.Where(kept => kept.Keys.Intersect(Keys, StringComparer.Ordinal).Any()).ToList();
        var rest = cut.Together.RemoveAll(met.Contains);
        var all = met.SelectMany(kept => kept.Keys).Concat(Keys).Distinct(StringComparer.Ordinal);
        return cut with { Together = Together ? rest.Add(new KeptTogether([.. all])) : rest, Places = [] };
    }
}
