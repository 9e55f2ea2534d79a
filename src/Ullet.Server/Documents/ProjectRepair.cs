using Microsoft.EntityFrameworkCore;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;

namespace Ullet.Server.Documents;

/// <summary>Finds what can still be read of a damaged project, and goes back to it.</summary>
public sealed class ProjectRepair(UlletDb db, HeadWriter writer)
{
    /// <summary>The newest state of a project that can be read, before its head; null for none.</summary>
    public async Task<(long Revision, Project Project)?> LastReadable(string projectId, CancellationToken cancellation)
    {
        var ids = await db
            .Revisions.AsNoTracking()
            .Where(revision => revision.ProjectId == projectId)
            .OrderByDescending(revision => revision.Id)
            .Select(revision => revision.Id)
            .ToListAsync(cancellation);
        foreach (var id in ids)
        {
            var snapshot = await db
                .Revisions.AsNoTracking()
                .Where(revision => revision.Id == id)
                .Select(revision => revision.Snapshot)
                .FirstAsync(cancellation);
            if (Snapshot.TryUnpack(snapshot, out var project, out _))
            {
                return (id, project!);
            }
        }
        return null;
    }

    /// <summary>Makes the last readable state of a damaged project its head. The damaged one stays in the history.</summary>
    /// <returns>The new head, or "project-unknown", "project-whole", "project-lost".</returns>
    public async Task<Result<Saved>> Restore(string projectId, CancellationToken cancellation)
    {
        var row = await db.Projects.AsNoTracking().FirstOrDefaultAsync(p => p.Id == projectId, cancellation);
        if (row is null || row.DeletedAt is not null)
        {
            return DocumentHistory.Unknown(projectId);
        }
        if (await LastReadable(projectId, cancellation) is not { } last)
        {
            return new Refusal("project-lost", "id", "No state of this project can be read any more.")
            {
                Kind = RefusalKind.NotFound,
            };
        }
        if (last.Revision == row.HeadId)
        {
            return new Refusal("project-whole", "id", "This project can be read as it is; nothing was changed.")
            {
                Kind = RefusalKind.Conflict,
            };
        }
        const string Label = "Go back to the last readable state";
        return await writer.Locked(
            projectId,
            row.HeadId,
            async own => new Saved(await writer.Append(own, last.Revision, Label, last.Project, cancellation), Label),
            cancellation
        );
    }
}
