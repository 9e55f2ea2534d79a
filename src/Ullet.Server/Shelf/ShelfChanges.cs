using Microsoft.EntityFrameworkCore;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Endpoints;

namespace Ullet.Server.Shelf;

/// <summary>Changes what the shelf says of projects: tags, sets, the bin. All of a change is made, or nothing.</summary>
internal sealed class ShelfChanges(UlletDb db, TimeProvider clock)
{
    /// <summary>Most characters of a tag.</summary>
    internal const int LongestTag = 40;

    /// <summary>Most tags of a project.</summary>
    internal const int MostTags = 20;

    /// <returns>Why it was not made, or null.</returns>
    internal async Task<Refusal?> Make(ShelfChange change, CancellationToken cancellation)
    {
        if (Wrong(change) is { } wrong)
        {
            return wrong;
        }
        await using var transaction = await db.Database.BeginTransactionAsync(cancellation);
        var ids = change.Ids.Distinct().ToList();
        var projects = await db.Projects.Where(project => ids.Contains(project.Id)).ToListAsync(cancellation);
        if (ids.Find(id => projects.TrueForAll(project => project.Id != id)) is { } unknown)
        {
            return DocumentHistory.Unknown(unknown);
        }
        var refusal =
            await Tagged(projects, change, cancellation)
            ?? await InSets(projects, change, cancellation)
            ?? Binned(projects, change);
        if (refusal is not null)
        {
            db.ChangeTracker.Clear();
            return refusal;
        }
        await db.SaveChangesAsync(cancellation);
        await ClearSets(cancellation);
        await transaction.CommitAsync(cancellation);
        return null;
    }

    /// <summary>Projects that orders need, which never go.</summary>
    internal async Task<HashSet<string>> Masters(CancellationToken cancellation) =>
        (await db.Orders.Select(order => order.ProjectId).Distinct().ToListAsync(cancellation)).ToHashSet(
            StringComparer.Ordinal
        );

    /// <summary>Takes a project out of the bin for good.</summary>
    /// <returns>Why it stays, or null.</returns>
    internal async Task<Refusal?> Forget(string id, CancellationToken cancellation)
    {
        if ((await Masters(cancellation)).Contains(id))
        {
            return new Refusal(
                "project-has-orders",
                "id",
                "Orders were made from this project, so it stays in the bin; the same files can be made again from it."
            )
            {
                Kind = RefusalKind.Conflict,
            };
        }
        var gone = await db
            .Projects.Where(project => project.Id == id && project.DeletedAt != null)
            .ExecuteDeleteAsync(cancellation);
        await ClearSets(cancellation);
        return gone == 1
            ? null
            : new Refusal("project-unknown", "id", $"There is no project \"{id}\" in the bin.")
            {
                Kind = RefusalKind.NotFound,
            };
    }

    /// <summary>Puts projects into a set of their own, or into the one that the first of them belongs to.</summary>
    internal async Task Together(ProjectRow first, ProjectRow other, CancellationToken cancellation)
    {
        if (first.SetId is null)
        {
            var set = new SetRow { Id = Guid.CreateVersion7().ToString("N"), Name = first.Title };
            db.Sets.Add(set);
            first.SetId = set.Id;
        }
        other.SetId = first.SetId;
        await db.SaveChangesAsync(cancellation);
    }

    private static Refusal? Wrong(ShelfChange change)
    {
        if (change.Ids.IsDefaultOrEmpty)
        {
            return new Refusal("nothing-chosen", "ids", "No project is chosen; choose one first.");
        }
        if (change.Ids.Length > ShelfChange.Most)
        {
            return new Refusal(
                "too-many-chosen",
                "ids",
                $"Up to {ShelfChange.Most:N0} projects can be changed at once; {change.Ids.Length:N0} are chosen."
            );
        }
        return change.AddTags.Select(PlainText.Line).Select(TagRefusal).FirstOrDefault(no => no is not null)
            ?? (change.NewSet is { } name ? Limits.CheckName(name, "The set") : null);
    }

    private static Refusal? TagRefusal(string tag) =>
        tag.Length switch
        {
            0 => new Refusal("tag-empty", "addTags", "A tag needs at least one character."),
            > LongestTag => new Refusal(
                "tag-too-long",
                "addTags",
                $"A tag may have up to {LongestTag} characters; \"{tag[..20]}…\" has {tag.Length:N0}."
            ),
            _ => null,
        };

    private async Task<Refusal?> Tagged(List<ProjectRow> projects, ShelfChange change, CancellationToken cancellation)
    {
        if (change.AddTags.IsEmpty && change.RemoveTags.IsEmpty)
        {
            return null;
        }
        var ids = projects.ConvertAll(project => project.Id);
        var rows = (await db.Tags.Where(tag => ids.Contains(tag.ProjectId)).ToListAsync(cancellation)).ToLookup(
            tag => tag.ProjectId,
            StringComparer.Ordinal
        );
        var gone = change
            .RemoveTags.Select(tag => SearchText.Folded(PlainText.Line(tag)))
            .ToHashSet(StringComparer.Ordinal);
        var added = change
            .AddTags.Select(PlainText.Line)
            .DistinctBy(SearchText.Folded, StringComparer.Ordinal)
            .ToList();
        foreach (var project in projects)
        {
            var own = rows[project.Id].ToList();
            var kept = own.Where(tag => !gone.Contains(tag.Key))
                .Select(tag => tag.Key)
                .ToHashSet(StringComparer.Ordinal);
            var fresh = added.Where(tag => !kept.Contains(SearchText.Folded(tag))).ToList();
            if (kept.Count + fresh.Count > MostTags)
            {
                return new Refusal(
                    "tags-too-many",
                    "addTags",
                    $"{project.Title} would have {kept.Count + fresh.Count} tags; a project may have {MostTags}."
                );
            }
            db.Tags.RemoveRange(
                own.Where(tag => !kept.Contains(tag.Key) && !fresh.Exists(each => SearchText.Folded(each) == tag.Key))
            );
            db.Tags.AddRange(
                fresh
                    .Where(tag => own.TrueForAll(each => each.Key != SearchText.Folded(tag)))
                    .Select(tag => new TagRow
                    {
                        ProjectId = project.Id,
                        Key = SearchText.Folded(tag),
                        Tag = tag,
                    })
            );
        }
        return null;
    }

    private async Task<Refusal?> InSets(List<ProjectRow> projects, ShelfChange change, CancellationToken cancellation)
    {
        if (change.SetId is null && change.NewSet is null && !change.LeaveSet)
        {
            return null;
        }
        var setId = change.SetId;
        if (change.NewSet is { } name)
        {
            setId = Guid.CreateVersion7().ToString("N");
            db.Sets.Add(new SetRow { Id = setId, Name = PlainText.Line(name) });
        }
        else if (setId is not null && !await db.Sets.AnyAsync(set => set.Id == setId, cancellation))
        {
            return new Refusal("set-unknown", "setId", "That set is not there any more; choose another one.")
            {
                Kind = RefusalKind.NotFound,
            };
        }
        projects.ForEach(project => project.SetId = setId);
        return null;
    }

    private Refusal? Binned(List<ProjectRow> projects, ShelfChange change)
    {
        if (change.Binned is { } binned)
        {
            var now = clock.GetUtcNow().ToUnixTimeMilliseconds();
            projects.ForEach(project => project.DeletedAt = binned ? project.DeletedAt ?? now : null);
        }
        return null;
    }

    /// <summary>A set that nobody belongs to any more goes.</summary>
    private Task<int> ClearSets(CancellationToken cancellation) =>
        db.Sets.Where(set => !db.Projects.Any(project => project.SetId == set.Id)).ExecuteDeleteAsync(cancellation);
}
