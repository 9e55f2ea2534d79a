using System.Collections.Concurrent;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Documents;
using Ullet.Core.Drawings;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Endpoints;
using Ullet.Server.Scenes;
using Ullet.Server.Work;

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
/// <remarks>What an edit computes is computed before the transaction begins, on the head that the caller knows; it is saved if that
/// head still stands. So a slow edit keeps nobody from reading and writing.</remarks>
public sealed class DocumentHistory(
    UlletDb db,
    Evaluator evaluator,
    EvaluatedHeads heads,
    SceneBuilder scenes,
    Workbench bench,
    IImportedDrawings imports,
    TimeProvider clock
)
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
    /// <exception cref="DamagedProjectException">When it can't be read.</exception>
    public async Task<Head?> Load(string projectId, CancellationToken cancellation)
    {
        var row = await db.Projects.AsNoTracking().FirstOrDefaultAsync(p => p.Id == projectId, cancellation);
        if (row is null || row.DeletedAt is not null)
        {
            return null;
        }
        var revision = await Revision(row.HeadId, cancellation);
        return new Head(row, revision.Id, revision.At, Snapshot.Unpack(revision.Snapshot));
    }

    /// <summary>Puts a new project on the shelf, once it has passed the check of documents and could be computed.</summary>
    /// <returns>Its id and head, or why it can't be put there.</returns>
    /// <param name="project">The document.</param>
    /// <param name="label">What the first state is called.</param>
    /// <param name="cancellation">Ends it.</param>
    /// <param name="older">The document that it is a copy of: limits that it passed are passed on; null for none.</param>
    public async Task<Result<CreatedProject>> Create(
        Project project,
        string label,
        CancellationToken cancellation,
        Project? older = null
    )
    {
        var row = new ProjectRow
        {
            Id = Guid.CreateVersion7().ToString("N"),
            Title = PlainText.Line(project.Title),
            CreatedAt = Now,
            UpdatedAt = Now,
        };
        var admitted = bench.Run(
            older is null ? WorkKind.Changing : WorkKind.Showing,
            "This new project",
            token =>
                Admission
                    .Of(older, project)
                    .Then(clean => (Result<(Project, Evaluated)>)(clean, Drawn(row, clean, token)))
        );
        if (!admitted.IsOk)
        {
            return admitted.Refusal!;
        }
        var (clean, evaluated) = admitted.Value;
        await using var transaction = await db.Database.BeginTransactionAsync(cancellation);
        db.Projects.Add(row);
        await db.SaveChangesAsync(cancellation);
        await Append(row, null, label, clean, cancellation);
        await transaction.CommitAsync(cancellation);
        heads.Adopt(row.Id, row.HeadId, evaluated);
        return new CreatedProject(row.Id, row.HeadId);
    }

    /// <summary>What the stations make of a new document, and its first scene: what is put on the shelf can be opened.</summary>
    private Evaluated Drawn(ProjectRow row, Project project, CancellationToken cancellation)
    {
        var evaluated = evaluator.Evaluate(project, cancellation);
        scenes.Build(new Head(row, 0, Now, project), evaluated, (null, null));
        return evaluated;
    }

    /// <summary>Applies an edit to the head that the caller knows.</summary>
    /// <returns>The new head, or the edit's refusal, "head-stale", "project-unknown".</returns>
    public async Task<Result<Saved>> Apply(
        string projectId,
        long expectedHead,
        Edit edit,
        CancellationToken cancellation
    )
    {
        if (await Load(projectId, cancellation) is not { } head)
        {
            return Unknown(projectId);
        }
        if (head.Revision != expectedHead)
        {
            return Stale(head.Revision);
        }
        var made = Made(head, edit);
        if (!made.IsOk)
        {
            return made.Refusal!;
        }
        var (after, evaluated) = made.Value;
        var label = PlainText.Line(edit.Label(head.Project));
        var saved = await Locked(
            projectId,
            expectedHead,
            async row =>
            {
                await Append(row, row.HeadId, label, after, cancellation);
                return new Saved(row.HeadId, label);
            },
            cancellation
        );
        if (saved.IsOk)
        {
            heads.Adopt(projectId, saved.Value.Head, evaluated);
        }
        return saved;
    }

    /// <summary>The document after an edit, checked as when it is read, with what the stations make of it; nothing is saved.</summary>
    /// <returns>Both, or why the edit can't be made.</returns>
    /// <exception cref="TooMuchException">When it takes too much. A document that took long before may take as much again.</exception>
    public Result<(Project After, Evaluated Evaluated)> Made(Head head, Edit edit) =>
        bench.Run(
            WorkKind.Changing.With(heads.TimeOf(head.Row.Id) * 2),
            "This change",
            token =>
                edit.Apply(head.Project, Context with { Cancellation = token })
                    .Then(after => Admission.Of(head.Project, after))
                    .Then(after => (Result<(Project, Evaluated)>)(after, evaluator.Evaluate(after, token)))
        );

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
            return Unknown(projectId);
        }
        if (await LastReadable(projectId, cancellation) is not { } last)
        {
            return new Refusal("project-lost", "id", "No state of this project can be read any more.");
        }
        if (last.Revision == row.HeadId)
        {
            return new Refusal("project-whole", "id", "This project can be read as it is; nothing was changed.");
        }
        const string Label = "Go back to the last readable state";
        return await Locked(
            projectId,
            row.HeadId,
            async own =>
            {
                await Append(own, last.Revision, Label, last.Project, cancellation);
                return new Saved(own.HeadId, Label);
            },
            cancellation
        );
    }

    /// <summary>Moves the head to its parent.</summary>
    public Task<Result<Saved>> Undo(string projectId, long expectedHead, CancellationToken cancellation) =>
        Locked(
            projectId,
            expectedHead,
            async row =>
            {
                var head = await Revision(row.HeadId, cancellation);
                if (head.ParentId is not { } parentId)
                {
                    return new Refusal("nothing-to-undo", "head", "There is nothing left to undo.");
                }
                var parent = await Revision(parentId, cancellation);
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

    private async Task<RevisionRow> Revision(long id, CancellationToken cancellation) =>
        await db.Revisions.AsNoTracking().FirstOrDefaultAsync(r => r.Id == id, cancellation)
        ?? throw new DamagedProjectException("the state that it should be in is not there");

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
