using Ullet.Core.Documents;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Takes a copy of a thread of the stash into the project, and in the place of another one if asked.</summary>
public sealed record TakeThread : Edit
{
    /// <summary>The thread's id in the stash.</summary>
    public required string StashId { get; init; }

    /// <summary>The project's thread that it is used instead of, everywhere; null to add it only.</summary>
    public string? InsteadOf { get; init; }

    public override string Label(Project before) =>
        before.FindThread(InsteadOf) is { } other
            ? $"Exchange {other.Label} for one of the stash"
            : "Take a thread from the stash";

    /// <returns>The document with the copy (or with the like thread that it has already), or "stash-thread-unknown".</returns>
    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (context.Stash.FindThread(StashId) is not { } owned)
        {
            return new Refusal(
                "stash-thread-unknown",
                "stashId",
                "That thread is not in the stash any more; choose another one."
            )
            {
                Kind = RefusalKind.NotFound,
            };
        }
        var copy = owned.ForProject($"t{project.NextNumber}");
        var known = project.Threads.FirstOrDefault(own => own with { Id = copy.Id } == copy);
        var taken = known is not null
            ? project
            : project with
            {
                Threads = project.Threads.Add(copy),
                NextNumber = project.NextNumber + 1,
            };
        var toId = (known ?? copy).Id;
        if (copy.Check() is { } refusal)
        {
            return refusal;
        }
        return InsteadOf is { } from && from != toId
            ? new ExchangeThread { FromId = from, ToId = toId }.Apply(taken, context)
            : taken;
    }
}

/// <summary>Takes a copy of a cloth of the stash into the project, and in the place of another one if asked.</summary>
public sealed record TakeCloth : Edit
{
    /// <summary>The cloth's id in the stash.</summary>
    public required string StashId { get; init; }

    /// <summary>The project's cloth that it is used instead of, everywhere; null to add it only.</summary>
    public string? InsteadOf { get; init; }

    public override string Label(Project before) =>
        before.FindCloth(InsteadOf) is { } other
            ? $"Exchange {other.Name} for one of the stash"
            : "Take a cloth from the stash";

    /// <returns>The document with the copy (or with the like cloth that it has already), or "stash-cloth-unknown".</returns>
    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (context.Stash.FindCloth(StashId) is not { } owned)
        {
            return new Refusal(
                "stash-cloth-unknown",
                "stashId",
                "That cloth is not in the stash any more; choose another one."
            )
            {
                Kind = RefusalKind.NotFound,
            };
        }
        var copy = owned.ForProject($"c{project.NextNumber}");
        var known = project.Cloths.FirstOrDefault(own => own with { Id = copy.Id } == copy);
        if (DocumentCheck.ClothCheck(copy) is { } refusal)
        {
            return refusal;
        }
        var taken = known is not null ? project : Added(project, owned, copy, context);
        var toId = (known ?? copy).Id;
        return InsteadOf is { } from && from != toId
            ? new ExchangeCloth { FromId = from, ToId = toId }.Apply(taken, context)
            : taken;
    }

    /// <summary>Its width and its grain go along to the cutting table.</summary>
    private static Project Added(Project project, StashCloth owned, Cloth copy, EditContext context)
    {
        var added = KeptCuts.Begun(
            project with
            {
                Cloths = project.Cloths.Add(copy),
                NextNumber = project.NextNumber + 1,
            },
            context.KeptCuts
        );
        var cut = added.Cut.Of(copy.Id);
        return owned.Grain == Grain.Free && owned.Width is null
            ? added
            : added with
            {
                Cut = added.Cut.With(cut with { Grain = owned.Grain, UsableWidth = owned.Width ?? cut.UsableWidth }),
            };
    }
}
