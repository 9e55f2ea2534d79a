using System.Collections.Concurrent;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Drawings;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;

namespace Ullet.Server.Documents;

/// <summary>A project's current state.</summary>
/// <param name="Row">The project's row.</param>
/// <param name="Revision">The head revision's id.</param>
/// <param name="SavedAt">When the head was written, Unix ms.</param>
/// <param name="Project">The document.</param>
public sealed record Head(ProjectRow Row, long Revision, long SavedAt, Project Project);

/// <summary>What an answered change left behind.</summary>
public sealed record Saved(long Head, string Label);

/// <summary>The one writer of documents: edits, undo, redo; each saved in one transaction before it is answered.</summary>
public sealed class DocumentHistory(UlletDb db, Evaluator evaluator, IImportedDrawings imports, TimeProvider clock)
{
    /// <summary>Revisions kept beside every hour's last.</summary>
    public const int RevisionsKept = 200;

    /// <summary>Thinning runs once in so many revisions.</summary>
    private const int ThinEvery = 50;

    private static readonly ConcurrentDictionary<string, SemaphoreSlim> Locks = new(StringComparer.Ordinal);

    /// <summary>What edits may read beside the document.</summary>
    public EditContext Context => new(evaluator) { Imports = imports };

    private long Now => clock.GetUtcNow().ToUnixTimeMilliseconds();

    /// <summary>The head of a project on the shelf, or null.</summary>
    public async Task<Head?> Load(string projectId, CancellationToken cancellation)
    {
        var row = await db.Projects.AsNoTracking().FirstOrDefaultAsync(p => p.Id == projectId, cancellation);
        if (row is null || row.DeletedAt is not null)
        {
            return null;
        }
        var revision = await db.Revisions.AsNoTracking().FirstAsync(r => r.Id == row.HeadId, cancellation);
        return new Head(row, revision.Id, revision.At, Snapshot.Unpack(revision.Snapshot));
    }

    /// <summary>Puts a new project on the shelf.</summary>
    public async Task<(string Id, long Head)> Create(Project project, string label, CancellationToken cancellation)
    {
        var row = new ProjectRow
        {
            Id = Guid.CreateVersion7().ToString("N"),
            Title = project.Title,
            CreatedAt = Now,
            UpdatedAt = Now,
        };
        await using var transaction = await db.Database.BeginTransactionAsync(cancellation);
        db.Projects.Add(row);
        await db.SaveChangesAsync(cancellation);
        await Append(row, null, label, project, cancellation);
        await transaction.CommitAsync(cancellation);
        return (row.Id, row.HeadId);
    }

    /// <summary>Applies an edit to the head that the caller knows.</summary>
    /// <returns>The new head, or the edit's refusal, "head-stale", "project-unknown".</returns>
    public Task<Result<Saved>> Apply(string projectId, long expectedHead, Edit edit, CancellationToken cancellation) =>
        Locked(
            projectId,
            expectedHead,
            async row =>
            {
                var head = await db.Revisions.AsNoTracking().FirstAsync(r => r.Id == row.HeadId, cancellation);
                var before = Snapshot.Unpack(head.Snapshot);
                var after = edit.Apply(before, Context);
                if (!after.IsOk)
                {
                    return after.Refusal!;
                }
                var label = edit.Label(before);
                await Append(row, row.HeadId, label, after.Value, cancellation);
                return new Saved(row.HeadId, label);
            },
            cancellation
        );

    /// <summary>Moves the head to its parent.</summary>
    public Task<Result<Saved>> Undo(string projectId, long expectedHead, CancellationToken cancellation) =>
        Locked(
            projectId,
            expectedHead,
            async row =>
            {
                var head = await db.Revisions.AsNoTracking().FirstAsync(r => r.Id == row.HeadId, cancellation);
                if (head.ParentId is not { } parentId)
                {
                    return new Refusal("nothing-to-undo", "head", "There is nothing left to undo.");
                }
                var parent = await db.Revisions.AsNoTracking().FirstAsync(r => r.Id == parentId, cancellation);
                await MoveTo(row, parent, cancellation);
                return new Saved(parentId, head.Label);
            },
            cancellation
        );

    /// <summary>Moves the head to the newest revision made on it.</summary>
    public Task<Result<Saved>> Redo(string projectId, long expectedHead, CancellationToken cancellation) =>
        Locked(
            projectId,
            expectedHead,
            async row =>
            {
                if (await Newest(projectId, row.HeadId, cancellation) is not { } child)
                {
                    return new Refusal("nothing-to-redo", "head", "There is nothing to do again.");
                }
                await MoveTo(row, child, cancellation);
                return new Saved(child.Id, child.Label);
            },
            cancellation
        );

    /// <summary>What undo and redo would bring back, by label; null where there is nothing.</summary>
    public async Task<(string? Undo, string? Redo)> Around(string projectId, long head, CancellationToken cancellation)
    {
        var own = await db
            .Revisions.AsNoTracking()
            .Where(r => r.Id == head)
            .Select(r => new { r.ParentId, r.Label })
            .FirstAsync(cancellation);
        var redo = await db
            .Revisions.AsNoTracking()
            .Where(r => r.ProjectId == projectId && r.ParentId == head)
            .OrderByDescending(r => r.Id)
            .Select(r => r.Label)
            .FirstOrDefaultAsync(cancellation);
        return (own.ParentId is null ? null : own.Label, redo);
    }

    private Task<RevisionRow?> Newest(string projectId, long parent, CancellationToken cancellation) =>
        db
            .Revisions.AsNoTracking()
            .Where(r => r.ProjectId == projectId && r.ParentId == parent)
            .OrderByDescending(r => r.Id)
            .FirstOrDefaultAsync(cancellation);

    /// <summary>Carries out a change alone, in one transaction, on the head that the caller knows.</summary>
    private async Task<Result<Saved>> Locked(
        string projectId,
        long expectedHead,
        Func<ProjectRow, Task<Result<Saved>>> change,
        CancellationToken cancellation
    )
    {
        var gate = Locks.GetOrAdd(projectId, _ => new SemaphoreSlim(1));
        await gate.WaitAsync(cancellation);
        try
        {
            await using var transaction = await db.Database.BeginTransactionAsync(cancellation);
            var row = await db.Projects.FirstOrDefaultAsync(p => p.Id == projectId, cancellation);
            if (row is null || row.DeletedAt is not null)
            {
                return Unknown(projectId);
            }
            if (row.HeadId != expectedHead)
            {
                return Stale(row.HeadId);
            }
            var result = await change(row);
            if (result.IsOk)
            {
                await transaction.CommitAsync(cancellation);
            }
            return result;
        }
        finally
        {
            gate.Release();
        }
    }

    private async Task Append(
        ProjectRow row,
        long? parent,
        string label,
        Project project,
        CancellationToken cancellation
    )
    {
        var revision = new RevisionRow
        {
            ProjectId = row.Id,
            ParentId = parent,
            Label = label,
            At = Now,
            Snapshot = Snapshot.Pack(project),
        };
        db.Revisions.Add(revision);
        await db.SaveChangesAsync(cancellation);
        row.HeadId = revision.Id;
        row.Title = project.Title;
        row.UpdatedAt = Now;
        await db.SaveChangesAsync(cancellation);
        if (revision.Id % ThinEvery == 0)
        {
            await RevisionThinning.Run(db, row.Id, row.HeadId, RevisionsKept, cancellation);
        }
    }

    private async Task MoveTo(ProjectRow row, RevisionRow target, CancellationToken cancellation)
    {
        row.HeadId = target.Id;
        row.Title = Snapshot.Unpack(target.Snapshot).Title;
        row.UpdatedAt = Now;
        await db.SaveChangesAsync(cancellation);
    }

    private static Refusal Stale(long current) =>
        new(
            "head-stale",
            current.ToString(),
            "This project was changed elsewhere in the meantime. Read it again and repeat the change."
        );

    /// <summary>The refusal for a project that is not on the shelf.</summary>
    public static Refusal Unknown(string projectId) =>
        new("project-unknown", "id", $"There is no project \"{projectId}\" on the shelf.");
}
