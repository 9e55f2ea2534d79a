using Microsoft.EntityFrameworkCore;
using Ullet.Core.Documents;
using Ullet.Core.Drawings;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Opened;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Endpoints;
using Ullet.Server.Scenes;
using Ullet.Server.Stash;
using Ullet.Server.Work;

namespace Ullet.Server.Documents;

/// <summary>A project's current state.</summary>
/// <param name="Row">The project's row.</param>
/// <param name="Revision">The head revision's id.</param>
/// <param name="SavedAt">When the head was written, Unix ms.</param>
/// <param name="Project">The document.</param>
public sealed record Head(ProjectRow Row, long Revision, long SavedAt, Project Project);

/// <summary>What a saved change left behind: the head that it made, and what it is called.</summary>
public sealed record Saved(Head Head, string Label);

/// <summary>The one writer of documents: edits, undo, redo; each saved in one transaction before it is answered.</summary>
/// <remarks>What an edit computes is computed before the transaction begins, on the head that the caller knows; it is saved if that
/// head still stands. So a slow edit keeps nobody from reading and writing.</remarks>
public sealed class DocumentHistory(
    UlletDb db,
    HeadWriter writer,
    Evaluator evaluator,
    EvaluatedHeads heads,
    SceneBuilder scenes,
    Workbench bench,
    IImportedDrawings imports,
    IStitchDesigns designs,
    PartShelf parts,
    OwnSketchShelf sketches,
    KeptShelf kept,
    StashShelf stash,
    TimeProvider clock
)
{
    /// <summary>What edits may read beside the document.</summary>
    public EditContext Context =>
        new(evaluator)
        {
            Imports = imports,
            Designs = designs,
            Parts = parts,
            OwnSketches = sketches,
            KeptCuts = kept,
            Stash = stash,
        };

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
        return new Head(row, revision.Id, revision.At, Shown(row, Snapshot.Unpack(revision.Snapshot)));
    }

    /// <summary>A document in the unit that is shown.</summary>
    private static Project Shown(ProjectRow row, Project project) =>
        row.Unit is { } unit ? project with { Unit = unit } : project;

    /// <summary>A refusal in the unit that is shown.</summary>
    internal static Refusal Shown(Refusal refusal, LengthUnit unit) =>
        unit == LengthUnit.Millimetre
            ? refusal
            : new Refusal(refusal.Code, refusal.Place, LengthWords.In(refusal.Words, unit)) { Kind = refusal.Kind };

    /// <summary>Shows lengths in another unit: no change of the document, so no step of undo.</summary>
    /// <returns>The head, which stays; or "head-stale", "project-unknown".</returns>
    public Task<Result<Saved>> Show(
        string projectId,
        long expectedHead,
        SetUnit wish,
        CancellationToken cancellation
    ) =>
        writer.Locked(
            projectId,
            expectedHead,
            async row =>
            {
                row.Unit = wish.Unit;
                await db.SaveChangesAsync(cancellation);
                var head = await Revision(row.HeadId, cancellation);
                var project = Shown(row, Snapshot.Unpack(head.Snapshot));
                return new Saved(new Head(row, head.Id, head.At, project), wish.Label(project));
            },
            cancellation
        );

    /// <summary>The number of a project's head, without reading its document; null for a project that is not on the shelf.</summary>
    public Task<long?> Current(string projectId, CancellationToken cancellation) =>
        db
            .Projects.AsNoTracking()
            .Where(p => p.Id == projectId && p.DeletedAt == null)
            .Select(p => (long?)p.HeadId)
            .FirstOrDefaultAsync(cancellation);

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
        var row = Row(project);
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
        await writer.Append(row, null, label, clean, cancellation);
        await transaction.CommitAsync(cancellation);
        heads.Adopt(row.Id, row.HeadId, evaluated);
        return new CreatedProject(row.Id, row.HeadId);
    }

    /// <summary>Puts a document on the shelf that this build brings along: it can be computed, and is when somebody opens it.</summary>
    internal async Task Bring(Project project, string label, CancellationToken cancellation)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancellation);
        var row = Row(project);
        db.Projects.Add(row);
        await db.SaveChangesAsync(cancellation);
        await writer.Append(row, null, label, project, cancellation);
        await transaction.CommitAsync(cancellation);
    }

    private ProjectRow Row(Project project) =>
        new()
        {
            Id = Guid.CreateVersion7().ToString("N"),
            Title = PlainText.Line(project.Title),
            CreatedAt = Now,
            UpdatedAt = Now,
        };

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
            return HeadWriter.Stale(head.Revision);
        }
        var made = Made(head, edit);
        if (!made.IsOk)
        {
            return Shown(made.Refusal!, head.Project.Unit);
        }
        var (after, evaluated) = made.Value;
        var label = PlainText.Line(edit.Label(head.Project));
        var saved = await writer.Locked(
            projectId,
            expectedHead,
            async row =>
            {
                return new Saved(await writer.Append(row, row.HeadId, label, after, cancellation), label);
            },
            cancellation
        );
        if (saved.IsOk)
        {
            heads.Adopt(projectId, saved.Value.Head.Revision, evaluated);
            await Remembered(edit, after, cancellation);
        }
        return saved;
    }

    /// <summary>What was set of a cutter is remembered for cloths of that kind in other projects.</summary>
    private async Task Remembered(Edit edit, Project after, CancellationToken cancellation)
    {
        if (edit is ClothCutEdit { IsOfTheCutter: true } cut && after.FindCloth(cut.ClothId) is { } cloth)
        {
            var set = after.Cut.Of(cloth.Id);
            await kept.Remember(cloth.Kind, new KeptCut(set.Profile, set.Tolerances), db, cancellation);
        }
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

    /// <summary>Moves the head to its parent.</summary>
    public Task<Result<Saved>> Undo(string projectId, long expectedHead, CancellationToken cancellation) =>
        writer.Locked(
            projectId,
            expectedHead,
            async row =>
            {
                var head = await Revision(row.HeadId, cancellation);
                if (head.ParentId is not { } parentId)
                {
                    return new Refusal("nothing-to-undo", "head", "There is nothing left to undo.")
                    {
                        Kind = RefusalKind.Conflict,
                    };
                }
                var parent = await Revision(parentId, cancellation);
                return new Saved(await writer.MoveTo(row, parent, cancellation), head.Label);
            },
            cancellation
        );

    /// <summary>Moves the head to the newest revision made on it.</summary>
    public Task<Result<Saved>> Redo(string projectId, long expectedHead, CancellationToken cancellation) =>
        writer.Locked(
            projectId,
            expectedHead,
            async row =>
            {
                if (await Newest(projectId, row.HeadId, cancellation) is not { } child)
                {
                    return new Refusal("nothing-to-redo", "head", "There is nothing to do again.")
                    {
                        Kind = RefusalKind.Conflict,
                    };
                }
                return new Saved(await writer.MoveTo(row, child, cancellation), child.Label);
            },
            cancellation
        );

    /// <summary>Goes back to a state that stands in the history: it becomes the newest one, byte for byte, so that nothing is lost.</summary>
    /// <returns>The head, or "state-unknown", "state-stands", "head-stale", "project-unknown".</returns>
    public Task<Result<Saved>> GoBack(
        string projectId,
        long expectedHead,
        long revisionId,
        CancellationToken cancellation
    ) =>
        writer.Locked(
            projectId,
            expectedHead,
            async row =>
            {
                var state = await db
                    .Revisions.AsNoTracking()
                    .FirstOrDefaultAsync(r => r.Id == revisionId && r.ProjectId == projectId, cancellation);
                if (state is null)
                {
                    return UnknownState(revisionId);
                }
                if (state.Id == row.HeadId)
                {
                    return new Refusal("state-stands", "revision", "That is how the project stands now.")
                    {
                        Kind = RefusalKind.Conflict,
                    };
                }
                var label = $"Go back to {(state.Name is { } name ? $"\"{name}\"" : $"after \"{state.Label}\"")}";
                return new Saved(await writer.Again(row, state, label, cancellation), label);
            },
            cancellation
        );

    /// <summary>The refusal for a state that is not in a project's history.</summary>
    internal static Refusal UnknownState(long revisionId) =>
        new("state-unknown", "revision", $"There is no state {revisionId} in this project's history any more.")
        {
            Kind = RefusalKind.NotFound,
        };

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

    /// <summary>The refusal for a project that is not on the shelf.</summary>
    public static Refusal Unknown(string projectId) =>
        new("project-unknown", "id", $"There is no project \"{projectId}\" on the shelf.")
        {
            Kind = RefusalKind.NotFound,
        };
}
