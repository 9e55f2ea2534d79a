using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Gives one trait to many elements: all of them take it, or none does and those that refuse are named.</summary>
public sealed record SetTrait : Edit
{
    /// <summary>So many of those that refuse are named.</summary>
    private const int MostNamed = 3;

    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>The trait's word.</summary>
    public required string Trait { get; init; }

    /// <summary>An id, a kind or a text; of no meaning for a length.</summary>
    public string? Word { get; init; }

    /// <summary>mm, for a length.</summary>
    public double? Length { get; init; }

    /// <summary>True when fills of very many stitches are meant.</summary>
    public bool IsLargeMeant { get; init; }

    public override string Label(Project before) =>
        $"Change the {TraitTable.Find(Trait)?.Name.ToLowerInvariant() ?? "look"} of {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (TraitTable.Find(Trait) is not { CanBeSet: true } trait)
        {
            var known = string.Join(", ", TraitTable.All.Where(each => each.CanBeSet).Select(each => each.Id));
            return new Refusal(
                "trait-unknown",
                "trait",
                $"Nothing called \"{Trait}\" can be set; it is one of {known}."
            );
        }
        if (trait.Source == TraitSource.Length ? Length is not { } length || !double.IsFinite(length) : Word is null)
        {
            return new Refusal(
                "trait-empty",
                trait.Source == TraitSource.Length ? "length" : "word",
                $"Say which {trait.Name.ToLowerInvariant()} they are to have."
            );
        }
        return Chosen
            .Find(project, ElementIds, mayBeLocked: true)
            .Then(elements => Set(project, trait, elements, context));
    }

    private Result<Project> Set(Project project, Trait trait, ImmutableArray<Element> elements, EditContext context)
    {
        var value = new TraitValue(Word ?? "", Length ?? 0);
        var refused = new List<(Element Element, Refusal Why)>();
        foreach (var element in elements)
        {
            var given = trait.Of(element, project, context.Evaluator) is null
                ? NotHad(element, trait)
                : trait.Given(element, value).Then(edit => Meant(edit).Apply(project, context));
            if (given.IsOk)
            {
                project = given.Value;
            }
            else
            {
                refused.Add((element, given.Refusal!));
            }
        }
        return refused.Count == 0 ? project : Named(refused, elements.Length);
    }

    private Edit Meant(Edit edit) => edit is SetMaking making ? making with { IsLargeMeant = IsLargeMeant } : edit;

    private static Refusal NotHad(Element element, Trait trait) =>
        new("trait-unfit", "elementIds", $"{element.Name} has no {trait.Name.ToLowerInvariant()}.")
        {
            Kind = RefusalKind.NotPossible,
        };

    private static Refusal Named(List<(Element Element, Refusal Why)> refused, int all)
    {
        if (all == 1)
        {
            return refused[0].Why;
        }
        // One sentence a reason; those who share it are told together.
        var reasons = refused
            .GroupBy(each => Plain(each.Why, each.Element), StringComparer.Ordinal)
            .Take(MostNamed)
            .Select(group => $"{Names([.. group.Select(each => each.Element.Name)])}: {group.Key}");
        var whose = refused.Count == all ? "none can take that" : $"{refused.Count} of {all} can't take that";
        return new Refusal(
            refused[0].Why.Code,
            "elementIds",
            $"Nothing was changed: {whose}. {string.Join(" ", reasons)}"
        )
        {
            Kind = refused[0].Why.Kind,
        };
    }

    private static string Plain(Refusal why, Element element) =>
        why.Words.Replace(element.Name, "it", StringComparison.Ordinal) is var words
        && words.StartsWith("it ", StringComparison.Ordinal)
            ? words
            : why.Words;

    private static string Names(ImmutableArray<string> names) =>
        names.Length <= MostNamed
            ? string.Join(", ", names)
            : $"{string.Join(", ", names.Take(MostNamed))} and {names.Length - MostNamed} more";
}
