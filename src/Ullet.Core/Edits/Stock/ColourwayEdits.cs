using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Keeps the present colours of cloths and threads under a name; one of that name is kept anew.</summary>
public sealed record KeepColourway : Edit
{
    public required string Name { get; init; }

    /// <summary>Only the cloths and threads of these elements; null for all of the project.</summary>
    public ImmutableArray<string>? ElementIds { get; init; }

    public override string Label(Project before) => $"Keep the colours as {Name}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var name = Name.Trim();
        if (Limits.CheckName(name, "The colourway") is { } refusal)
        {
            return refusal;
        }
        var known = project.Colourways.FirstOrDefault(own =>
            string.Equals(own.Name, name, StringComparison.OrdinalIgnoreCase)
        );
        if (known is null && project.Colourways.Length >= Colourway.Most)
        {
            return new Refusal(
                "colourways-too-many",
                "name",
                $"A project keeps {Colourway.Most} colourways; let one go before another is kept."
            );
        }
        var elements = ElementIds is { } ids
            ? Chosen.Find(project, ids, mayBeLocked: true)
            : (Result<ImmutableArray<Element>>)project.Elements;
        if (!elements.IsOk)
        {
            return elements.Refusal!;
        }
        var named = ElementIds is null
            ? null
            : elements
                .Value.SelectMany(element => NamedIds.ClothsOf(element).Concat(NamedIds.ThreadsOf(element)))
                .ToHashSet(StringComparer.Ordinal);
        var kept = Colourway.Of(project, known?.Id ?? $"c{project.NextNumber}", name, named);
        return project with
        {
            Colourways = known is null ? project.Colourways.Add(kept) : project.Colourways.Replace(known, kept),
            NextNumber = project.NextNumber + (known is null ? 1 : 0),
        };
    }
}

/// <summary>An edit of a kept colourway.</summary>
public abstract record ColourwayEdit : Edit
{
    public required string ColourwayId { get; init; }

    public sealed override Result<Project> Apply(Project project, EditContext context) =>
        project.Colourways.FirstOrDefault(own => own.Id == ColourwayId) is { } found
            ? Change(project, found)
            : new Refusal(
                "colourway-unknown",
                "colourwayId",
                $"There is no colourway \"{ColourwayId}\" in this project."
            )
            {
                Kind = RefusalKind.NotFound,
            };

    private protected abstract Result<Project> Change(Project project, Colourway colourway);

    private protected string NameIn(Project project) =>
        project.Colourways.FirstOrDefault(own => own.Id == ColourwayId)?.Name ?? "a colourway";
}

/// <summary>Puts a project into the colours of a colourway.</summary>
public sealed record WearColourway : ColourwayEdit
{
    public override string Label(Project before) => $"Take the colours {NameIn(before)}";

    private protected override Result<Project> Change(Project project, Colourway colourway) => colourway.Worn(project);
}

/// <summary>Lets a colourway go; the project's present colours stay.</summary>
public sealed record RemoveColourway : ColourwayEdit
{
    public override string Label(Project before) => $"Let the colours {NameIn(before)} go";

    private protected override Result<Project> Change(Project project, Colourway colourway) =>
        project with
        {
            Colourways = project.Colourways.Remove(colourway),
        };
}
