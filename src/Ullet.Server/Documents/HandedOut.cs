using System.Security.Cryptography;
using Microsoft.EntityFrameworkCore;
using Ullet.Server.Data;

namespace Ullet.Server.Documents;

/// <summary>A file that was handed out.</summary>
/// <param name="Id">Names it.</param>
/// <param name="Name">The file's name.</param>
/// <param name="At">When it went out last, Unix ms.</param>
/// <param name="Length">Bytes.</param>
/// <param name="Revision">The state that it was made from.</param>
/// <param name="IsOfNow">True where the project stands as it did then.</param>
public sealed record HandedDto(long Id, string Name, long At, long Length, long Revision, bool IsOfNow);

/// <summary>Keeps the very bytes of what goes out, so that the same can be handed out again.</summary>
internal sealed class HandedOut(UlletDb db, TimeProvider clock, ILogger<HandedOut> log)
{
    /// <summary>Notes a file that goes out; on a full or read-only disk it goes out without a note.</summary>
    internal Task TryNote(
        string projectId,
        long revision,
        string name,
        string mediaType,
        ReadOnlyMemory<byte> bytes,
        CancellationToken cancellation
    ) => SideNotes.Try(db, log, name, () => Note(projectId, revision, name, mediaType, bytes, cancellation));

    /// <summary>Notes a file. The same bytes of the same state are one entry, with the time when they went out last.</summary>
    private async Task Note(
        string projectId,
        long revision,
        string name,
        string mediaType,
        ReadOnlyMemory<byte> bytes,
        CancellationToken cancellation
    )
    {
        var now = clock.GetUtcNow().ToUnixTimeMilliseconds();
        var hash = Convert.ToHexStringLower(SHA256.HashData(bytes.Span));
        await using var transaction = await db.Database.BeginTransactionAsync(cancellation);
        var known = await db
            .Handed.Where(row => row.ProjectId == projectId && row.Name == name && row.Sha256 == hash)
            .ExecuteUpdateAsync(
                set => set.SetProperty(row => row.At, now).SetProperty(row => row.Revision, revision),
                cancellation
            );
        if (known == 0)
        {
            if (!await db.HandedBytes.AnyAsync(row => row.Sha256 == hash, cancellation))
            {
                db.HandedBytes.Add(new HandedBytesRow { Sha256 = hash, Bytes = bytes.ToArray() });
            }
            db.Handed.Add(
                new HandedRow
                {
                    ProjectId = projectId,
                    Revision = revision,
                    Name = name,
                    MediaType = mediaType,
                    Sha256 = hash,
                    Length = bytes.Length,
                    At = now,
                }
            );
            await db.SaveChangesAsync(cancellation);
        }
        await transaction.CommitAsync(cancellation);
    }

    /// <summary>What was handed out of a project, newest first.</summary>
    internal async Task<List<HandedDto>> Of(string projectId, long head, CancellationToken cancellation) =>
        await db
            .Handed.AsNoTracking()
            .Where(row => row.ProjectId == projectId)
            .OrderByDescending(row => row.At)
            .ThenByDescending(row => row.Id)
            .Select(row => new HandedDto(row.Id, row.Name, row.At, row.Length, row.Revision, row.Revision == head))
            .ToListAsync(cancellation);

    /// <summary>A file as it went out; null where it is not kept.</summary>
    internal async Task<(HandedRow Row, byte[] Bytes)?> Find(string projectId, long id, CancellationToken cancellation)
    {
        var row = await db
            .Handed.AsNoTracking()
            .FirstOrDefaultAsync(each => each.Id == id && each.ProjectId == projectId, cancellation);
        var bytes = row is null
            ? null
            : await db
                .HandedBytes.AsNoTracking()
                .Where(each => each.Sha256 == row.Sha256)
                .Select(each => each.Bytes)
                .FirstOrDefaultAsync(cancellation);
        return row is null || bytes is null ? null : (row, bytes);
    }

    /// <summary>Bytes of all that is kept.</summary>
    internal Task<long> Bytes(CancellationToken cancellation) =>
        db.HandedBytes.SumAsync(row => (long)row.Bytes.Length, cancellation);

    /// <summary>Lets all go but the newest of each name of a project.</summary>
    internal async Task ClearOlder(CancellationToken cancellation)
    {
        var newest = db
            .Handed.GroupBy(row => new { row.ProjectId, row.Name })
            .Select(group => group.Max(row => row.Id));
        await db.Handed.Where(row => !newest.Contains(row.Id)).ExecuteDeleteAsync(cancellation);
        await ClearUnnamed(cancellation);
    }

    /// <summary>Takes bytes away that no entry names: those of projects that are gone.</summary>
    internal Task ClearUnnamed(CancellationToken cancellation) =>
        db
            .HandedBytes.Where(bytes => !db.Handed.Any(row => row.Sha256 == bytes.Sha256))
            .ExecuteDeleteAsync(cancellation);
}
