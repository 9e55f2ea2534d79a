using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>What becomes of elements that are made with deleted ones.</summary>
public enum DependentsFate
{
    /// <summary>Nothing is deleted; the refusal names them.</summary>
    Refuse,

    /// <summary>They are frozen into nodes as they are.</summary>
    Freeze,

    /// <summary>The operations that need the deleted ones are taken away.</summary>
    Release,
}

/// <summary>Takes elements away, with all their stages and what was decided about their steps.</summary>
public sealed record RemoveElements : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    public DependentsFate Dependents { get; init; } = DependentsFate.Refuse;

    public override string Label(Project before) => $"Delete {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var found = Chosen.Find(project, ElementIds);
        if (!found.IsOk)
        {
            return found.Refusal!;
        }
        if (PatternPlaces.Owned(project, found.Value) is { } part)
        {
            return new Refusal(
                "pattern-part",
                "elementIds",
                $"{part.Name} is a part of the pattern, which does not work without it. Empty a fill-in instead, or switch its step off."
            );
        }
        project = PatternPlaces.Emptied(PatternPlaces.LetGo(project, found.Value), found.Value);
        var settled = Settled(project, context);
        if (!settled.IsOk)
        {
            return settled.Refusal!;
        }
        var left = settled.Value with
        {
            Elements = [.. settled.Value.Elements.Where(element => !ElementIds.Contains(element.Id))],
            FillIns =
            [
                .. settled
                    .Value.FillIns.Select(fillIn => fillIn.Without(ElementIds.ToHashSet(StringComparer.Ordinal)))
                    .OfType<FillIn>(),
            ],
            RunSheet = project.RunSheet with
            {
                Steps = [.. project.RunSheet.Steps.Where(step => !ElementIds.Contains(step.Key.OwnerId))],
            },
        };
        // What a deleted element joined is sewn by itself again.
        return Construction.Released(
            left,
            found
                .Value.SelectMany(element => element.Operations.Where(own => own is Join or KeepOverlap))
                .SelectMany(operation => operation.Sources)
        );
    }

    /// <summary>The document in which no element that stays needs one that goes.</summary>
    private Result<Project> Settled(Project project, EditContext context)
    {
        var dependents = project
            .Elements.Where(element =>
                !ElementIds.Contains(element.Id) && element.SourceIds().Any(id => ElementIds.Contains(id))
            )
            .ToList();
        if (dependents.Count > 0 && Dependents == DependentsFate.Refuse)
        {
            return Needed(project, dependents);
        }
        Result<Project> settled = project;
        foreach (var dependent in dependents)
        {
            settled = settled.Then(so =>
                Dependents == DependentsFate.Release
                    ? so.With(Released(dependent))
                    : Freezing.Frozen(so, so.Find(dependent.Id)!, context)
            );
        }
        return settled;
    }

    private Refusal Needed(Project project, List<Element> dependents)
    {
        var sentences = dependents
            .Take(3)
            .Select(element =>
            {
                var operation = element.Operations.First(own => own.Sources.Any(id => ElementIds.Contains(id)));
                var source = project.Find(operation.Sources.First(id => ElementIds.Contains(id)))!;
                return $"{element.Name} is made with {source.Name} ({OperationTable.Of(operation).Name(operation).ToLowerInvariant()})";
            });
        var more = dependents.Count > 3 ? $", and {dependents.Count - 3} more elements depend on it" : "";
        return new Refusal(
            "element-needed",
            "elementIds",
            $"{string.Join("; ", sentences)}{more}. Freeze what depends on it into nodes, or take the operations away, "
                + "and delete then."
        );
    }

    private Element Released(Element dependent) =>
        dependent with
        {
            Operations =
            [
                .. dependent
                    .Operations.Select(operation =>
                        operation is SourcedOperation sourced
                            ? sourced with
                            {
                                SourceIds = [.. sourced.SourceIds.Where(id => !ElementIds.Contains(id))],
                            }
                            : operation
                    )
                    .Where(operation =>
                        operation is SourcedOperation
                            ? !operation.Sources.IsEmpty
                            : !operation.Sources.Any(id => ElementIds.Contains(id))
                    ),
            ],
        };
}
