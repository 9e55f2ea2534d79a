using System.Collections.Immutable;
using System.Text.Json;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Pictures;
using Ullet.Server.Data;
using Ullet.Server.Orders;

namespace Ullet.Server.Endpoints;

/// <summary>Packets in one go: jobs, their progress, and what they made.</summary>
internal static class JobEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var orders = app.MapGroup("/api/projects/{id}/orders").WithTags("Orders");
        orders.MapPost("jobs", Begin).WithName("beginJob");
        orders.MapGet("jobs", List).WithName("listJobs");
        orders.MapPost("hoopings", Plan).WithName("planHoopings");
        orders.MapGet("hoopings/{number:int}/picture.png", Picture).WithName("getHoopingPicture");
        var jobs = app.MapGroup("/api/jobs/{jobId}").WithTags("Orders");
        jobs.MapGet("", Find).WithName("getJob");
        jobs.MapGet("events", Events).WithName("watchJob").ExcludeFromDescription();
        jobs.MapPost("cancel", Cancel).WithName("cancelJob");
        jobs.MapPost("resume", Resume).WithName("resumeJob");
        jobs.MapGet("packets.zip", Packets).WithName("getJobPackets");
    }

    private static async Task<Results<Ok<JobDto>, ProblemHttpResult>> Begin(
        string id,
        JobWish wish,
        Jobs jobs,
        CancellationToken cancellation
    )
    {
        var begun = await jobs.Add(id, wish, cancellation);
        return begun.IsOk
            ? TypedResults.Ok((await jobs.Find(begun.Value, cancellation))!)
            : Problems.Of(begun.Refusal!);
    }

    private static async Task<Ok<List<JobDto>>> List(string id, Jobs jobs, CancellationToken cancellation) =>
        TypedResults.Ok(await jobs.Of(id, cancellation));

    private static async Task<Results<Ok<ImmutableArray<HoopingPlanDto>>, ProblemHttpResult>> Plan(
        string id,
        OrderIds wish,
        HoopingPlans plans,
        CancellationToken cancellation
    )
    {
        var planned = await plans.Plan(id, wish.Ids, cancellation);
        return planned.IsOk ? TypedResults.Ok(planned.Value) : Problems.Of(planned.Refusal!);
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Picture(
        string id,
        int number,
        string ids,
        HoopingPlans plans,
        CancellationToken cancellation,
        int size = 600
    )
    {
        if (size is < ProjectPicture.LeastSize or > ProjectPicture.MostSize)
        {
            return Problems.Of(new Refusal("size-out-of-range", "size", "A picture of that size is not drawn."));
        }
        var drawn = await plans.Picture(id, ids.Split(','), number, size, cancellation);
        return drawn.IsOk ? TypedResults.File(drawn.Value, "image/png") : Problems.Of(drawn.Refusal!);
    }

    private static async Task<Results<Ok<JobDto>, ProblemHttpResult>> Find(
        string jobId,
        Jobs jobs,
        CancellationToken cancellation
    ) => await jobs.Find(jobId, cancellation) is { } job ? TypedResults.Ok(job) : Problems.Of(Jobs.Unknown(jobId));

    /// <summary>Tells how a job stands whenever it has gone on, until it is over or the client leaves.</summary>
    private static async Task Events(
        string jobId,
        IServiceScopeFactory scopes,
        JobSignals signals,
        HttpContext http,
        CancellationToken cancellation
    )
    {
        http.Response.ContentType = "text/event-stream";
        http.Response.Headers.CacheControl = "no-store";
        while (!cancellation.IsCancellationRequested)
        {
            var next = signals.Next(jobId);
            JobDto? job;
            using (var scope = scopes.CreateScope())
            {
                job = await scope.ServiceProvider.GetRequiredService<Jobs>().Find(jobId, cancellation);
            }
            if (job is null)
            {
                return;
            }
            await http.Response.WriteAsync(
                $"data: {JsonSerializer.Serialize(job, ProjectJson.Options)}\n\n",
                cancellation
            );
            await http.Response.Body.FlushAsync(cancellation);
            if (job.State is JobState.Done or JobState.Cancelled)
            {
                return;
            }
            await next.WaitAsync(cancellation);
        }
    }

    private static async Task<Results<Ok<JobDto>, ProblemHttpResult>> Cancel(
        string jobId,
        Jobs jobs,
        CancellationToken cancellation
    ) => Answer(await jobs.Cancel(jobId, cancellation));

    private static async Task<Results<Ok<JobDto>, ProblemHttpResult>> Resume(
        string jobId,
        Jobs jobs,
        CancellationToken cancellation
    ) => Answer(await jobs.Resume(jobId, cancellation));

    private static Results<Ok<JobDto>, ProblemHttpResult> Answer(Result<JobDto> job) =>
        job.IsOk ? TypedResults.Ok(job.Value) : Problems.Of(job.Refusal!);

    /// <summary>Everything that a job made so far, a folder an order, written as it is read.</summary>
    private static async Task<IResult> Packets(
        string jobId,
        Jobs jobs,
        JobZip zip,
        HttpContext http,
        CancellationToken cancellation
    )
    {
        // A zip's entries are closed in one go, also where they are written as they are read.
        if (http.Features.Get<IHttpBodyControlFeature>() is { } body)
        {
            body.AllowSynchronousIO = true;
        }
        if (await jobs.Find(jobId, cancellation) is not { } job)
        {
            return Problems.Of(Jobs.Unknown(jobId));
        }
        if (job.Made == 0)
        {
            return Problems.Of(
                new Refusal("job-empty", "jobId", "This job has made nothing yet.") { Kind = RefusalKind.Conflict }
            );
        }
        return TypedResults.Stream(
            stream => zip.Write(job, stream, cancellation),
            "application/zip",
            $"orders {DateTimeOffset.FromUnixTimeMilliseconds(job.At):yyyy-MM-dd HHmm}.zip"
        );
    }
}
