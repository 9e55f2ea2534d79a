using System.Collections.Immutable;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Orders;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Documents;

namespace Ullet.Server.Orders;

/// <summary>A job as it is shown.</summary>
/// <param name="Id">Names it.</param>
/// <param name="ProjectId">Its master.</param>
/// <param name="Kind">"packets" or "hoopings".</param>
/// <param name="State">How it stands.</param>
/// <param name="At">When it was asked for, Unix ms.</param>
/// <param name="Items">What it makes, in order.</param>
/// <param name="Made">How many of them are made.</param>
/// <param name="Failed">How many could not be made.</param>
public sealed record JobDto(
    string Id,
    string ProjectId,
    string Kind,
    JobState State,
    long At,
    ImmutableArray<JobItemDto> Items,
    int Made,
    int Failed
);

/// <summary>One thing that a job makes.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="OrderIds">The orders that it is about.</param>
/// <param name="State">How it stands.</param>
/// <param name="Words">Why it failed; empty where it did not.</param>
public sealed record JobItemDto(string Name, ImmutableArray<string> OrderIds, JobItemState State, string Words);

/// <summary>Writes and reads jobs.</summary>
internal sealed class Jobs(
    UlletDb db,
    OrderBook book,
    DocumentHistory history,
    HoopingPlans hoopings,
    JobSignals signals,
    TimeProvider clock
)
{
    /// <summary>So many jobs of a project are listed, the newest.</summary>
    private const int Listed = 20;

    /// <summary>Puts a job into the queue.</summary>
    /// <returns>Its id, or why there is nothing to do.</returns>
    internal async Task<Result<string>> Add(string projectId, JobWish wish, CancellationToken cancellation)
    {
        var rows = (await book.Rows(projectId, cancellation)).ToDictionary(row => row.Id, StringComparer.Ordinal);
        if (wish.OrderIds.IsDefaultOrEmpty)
        {
            return new Refusal("nothing-selected", "orderIds", "Choose the orders that are to be made.");
        }
        if (wish.OrderIds.FirstOrDefault(id => !rows.ContainsKey(id)) is { } unknown)
        {
            return OrderBook.Unknown(unknown);
        }
        if (await history.Load(projectId, cancellation) is not { } head)
        {
            return DocumentHistory.Unknown(projectId);
        }
        ImmutableArray<string> fields = [.. FillInFields.Of(head.Project).Select(field => field.Id)];
        var chosen = wish.OrderIds.Distinct(StringComparer.Ordinal).Select(id => rows[id]).ToList();
        Result<ImmutableArray<(string Name, ImmutableArray<string> OrderIds)>> items = wish.Kind switch
        {
            JobWish.Packets => chosen
                .Select(row => (Name(row, fields), ImmutableArray.Create(row.Id)))
                .ToImmutableArray(),
            JobWish.Hoopings => await hoopings.Items(projectId, chosen, cancellation),
            _ => new Refusal("job-unknown", "kind", "A job makes \"packets\" or \"hoopings\"."),
        };
        if (!items.IsOk)
        {
            return items.Refusal!;
        }
        var job = new JobRow
        {
            Id = Guid.CreateVersion7().ToString("N"),
            ProjectId = projectId,
            Kind = wish.Kind,
            State = JobState.Waiting,
            At = clock.GetUtcNow().ToUnixTimeMilliseconds(),
            Wish = JsonSerializer.Serialize(wish, ProjectJson.Options),
        };
        db.Jobs.Add(job);
        db.JobItems.AddRange(
            items.Value.Select(
                (item, i) =>
                    new JobItemRow
                    {
                        JobId = job.Id,
                        Position = i,
                        OrderIds = string.Join(' ', item.OrderIds),
                        Name = item.Name,
                        Words = "",
                    }
            )
        );
        await db.SaveChangesAsync(cancellation);
        signals.Begin();
        return job.Id;
    }

    private static string Name(OrderRow row, ImmutableArray<string> fields)
    {
        var values = OrderJson.Read(row.Values);
        return $"{row.Number} {string.Join(", ", fields.Select(values.Of).OfType<string>())}".Trim();
    }

    internal async Task<JobDto?> Find(string jobId, CancellationToken cancellation)
    {
        var job = await db.Jobs.AsNoTracking().FirstOrDefaultAsync(row => row.Id == jobId, cancellation);
        if (job is null)
        {
            return null;
        }
        var items = await db
            .JobItems.AsNoTracking()
            .Where(item => item.JobId == jobId)
            .OrderBy(item => item.Position)
            .ToListAsync(cancellation);
        return Shown(job, items);
    }

    /// <summary>The jobs of a master, the newest first.</summary>
    internal async Task<List<JobDto>> Of(string projectId, CancellationToken cancellation)
    {
        var jobs = await db
            .Jobs.AsNoTracking()
            .Where(job => job.ProjectId == projectId)
            .OrderByDescending(job => job.At)
            .Take(Listed)
            .ToListAsync(cancellation);
        var shown = new List<JobDto>();
        foreach (var job in jobs)
        {
            shown.Add((await Find(job.Id, cancellation))!);
        }
        return shown;
    }

    /// <summary>Ends a job; what it has made stays.</summary>
    internal async Task<Result<JobDto>> Cancel(string jobId, CancellationToken cancellation)
    {
        await db
            .Jobs.Where(job => job.Id == jobId && (job.State == JobState.Waiting || job.State == JobState.Running))
            .ExecuteUpdateAsync(set => set.SetProperty(job => job.State, JobState.Cancelled), cancellation);
        signals.Cancel(jobId);
        signals.Told(jobId);
        return await Find(jobId, cancellation) is { } job ? job : Unknown(jobId);
    }

    /// <summary>Goes on with a job that was cancelled, or tries again what failed of one that is done.</summary>
    internal async Task<Result<JobDto>> Resume(string jobId, CancellationToken cancellation)
    {
        await db
            .JobItems.Where(item => item.JobId == jobId && item.State == JobItemState.Failed)
            .ExecuteUpdateAsync(
                set => set.SetProperty(item => item.State, JobItemState.Waiting).SetProperty(item => item.Words, ""),
                cancellation
            );
        await db
            .Jobs.Where(job => job.Id == jobId && (job.State == JobState.Cancelled || job.State == JobState.Done))
            .ExecuteUpdateAsync(set => set.SetProperty(job => job.State, JobState.Waiting), cancellation);
        signals.Begin();
        return await Find(jobId, cancellation) is { } job ? job : Unknown(jobId);
    }

    internal static Refusal Unknown(string jobId) =>
        new("job-unknown", "jobId", $"There is no job \"{jobId}\".") { Kind = RefusalKind.NotFound };

    private static JobDto Shown(JobRow job, List<JobItemRow> items) =>
        new(
            job.Id,
            job.ProjectId,
            job.Kind,
            job.State,
            job.At,
            [
                .. items.Select(item => new JobItemDto(
                    item.Name,
                    [.. item.OrderIds.Split(' ').Select(seat => seat.Split(':')[0])],
                    item.State,
                    item.Words
                )),
            ],
            items.Count(item => item.State == JobItemState.Made),
            items.Count(item => item.State == JobItemState.Failed)
        );
}
