using System.Collections.Concurrent;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Pictures;
using Ullet.Server.Shelf;

namespace Ullet.Server.Documents;

/// <summary>Writes the heads of projects: one change after the other for each project, each in one transaction.</summary>
public sealed class HeadWriter(UlletDb db, ShelfPictures pictures, TimeProvider clock)
{
    /// <summary>Revisions kept beside every hour's last.</summary>
    public const int RevisionsKept = 200;

    /// <summary>Thinning runs once in so many revisions.</summary>
    private const int ThinEvery = 50;

    private static readonly ConcurrentDictionary<string, SemaphoreSlim> Locks = new(StringComparer.Ordinal);

    private long Now => clock.GetUtcNow().ToUnixTimeMilliseconds();

    /// <summary>Carries out a change alone, in one transaction, on the head that the caller knows.</summary>
    internal async Task<Result<Saved>> Locked(
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
                return DocumentHistory.Unknown(projectId);
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

    /// <summary>Writes a state on another one, or the first of all, and makes it the head.</summary>
    /// <returns>The head that it is now.</returns>
    internal async Task<Head> Append(
        ProjectRow row,
        long? parent,
        string label,
        Project project,
        CancellationToken cancellation
    ) => await Append(row, parent, label, project, Snapshot.Pack(project), cancellation);

    /// <summary>Writes a state that stands in the history once more, byte for byte, and makes it the head.</summary>
    /// <returns>The head that it is now.</returns>
    internal Task<Head> Again(ProjectRow row, RevisionRow state, string label, CancellationToken cancellation) =>
        Append(row, row.HeadId, label, Snapshot.Unpack(state.Snapshot), state.Snapshot, cancellation);

    private async Task<Head> Append(
        ProjectRow row,
        long? parent,
        string label,
        Project project,
        byte[] snapshot,
        CancellationToken cancellation
    )
    {
        var revision = new RevisionRow
        {
            ProjectId = row.Id,
            ParentId = parent,
            Label = label,
            At = Now,
            Snapshot = snapshot,
        };
        db.Revisions.Add(revision);
        await db.SaveChangesAsync(cancellation);
        row.HeadId = revision.Id;
        row.Title = project.Title;
        row.UpdatedAt = Now;
        ShelfFacts.Note(row, project, revision.Id, snapshot);
        await db.SaveChangesAsync(cancellation);
        if (revision.Id % ThinEvery == 0)
        {
            await RevisionThinning.Run(db, row.Id, row.HeadId, RevisionsKept, cancellation);
        }
        pictures.Want(row.Id);
        return new Head(row, revision.Id, revision.At, project);
    }

    /// <summary>Makes a state that stands in the history the head.</summary>
    /// <returns>The head that it is now.</returns>
    internal async Task<Head> MoveTo(ProjectRow row, RevisionRow target, CancellationToken cancellation)
    {
        var project = Snapshot.Unpack(target.Snapshot);
        row.HeadId = target.Id;
        row.Title = project.Title;
        row.UpdatedAt = Now;
        ShelfFacts.Note(row, project, target.Id, target.Snapshot);
        await db.SaveChangesAsync(cancellation);
        pictures.Want(row.Id);
        return new Head(row, target.Id, target.At, project);
    }

    /// <summary>The refusal for a change of a head that is none any more.</summary>
    internal static Refusal Stale(long current) =>
        new(
            "head-stale",
            current.ToString(),
            "This project was changed elsewhere in the meantime. Read it again and repeat the change."
        )
        {
            Kind = RefusalKind.Conflict,
        };
}
