using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Pipeline;
using Ullet.Files.CutFiles;
using Ullet.Files.StitchLists;
using Ullet.Server.Devices;

namespace Ullet.Server.Endpoints;

/// <summary>The stand-in devices: they take a file, as the body or as a form's first file, and answer what they did.</summary>
internal static class DeviceEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/devices").WithTags("Devices").DisableAntiforgery();
        group
            .MapPost("machine/rehearse", Rehearse)
            .WithName("rehearse")
            .WithDescription("Takes a stitch list as the body, or as the first file of a form.");
        group
            .MapPost("cutter/dry-run", DryRun)
            .WithName("dryRun")
            .WithDescription("Takes a cut file as the body, or as the first file of a form.");
    }

    private static async Task<Results<Ok<Rehearsal>, ProblemHttpResult>> Rehearse(
        HttpRequest request,
        CancellationToken cancellation
    )
    {
        var file = await Bytes(request, cancellation);
        var read = file.Then(bytes => StitchListReader.Read(bytes));
        return read.IsOk ? TypedResults.Ok(StandInMachine.Run(read.Value)) : Problems.Of(read.Refusal!);
    }

    private static async Task<Results<Ok<DryRun>, ProblemHttpResult>> DryRun(
        HttpRequest request,
        CancellationToken cancellation
    )
    {
        var file = await Bytes(request, cancellation);
        var read = file.Then(bytes => SvgCutReader.Read(bytes));
        return read.IsOk ? TypedResults.Ok(StandInCutter.Run(read.Value)) : Problems.Of(read.Refusal!);
    }

    private static async Task<Result<byte[]>> Bytes(HttpRequest request, CancellationToken cancellation)
    {
        using var bytes = new MemoryStream();
        if (request.HasFormContentType)
        {
            var form = await request.ReadFormAsync(cancellation);
            if (form.Files.Count == 0)
            {
                return new Refusal("file-missing", "file", "No file was sent.");
            }
            await form.Files[0].CopyToAsync(bytes, cancellation);
        }
        else
        {
            await request.Body.CopyToAsync(bytes, cancellation);
        }
        return bytes.Length == 0
            ? new Refusal("file-missing", "file", "The file that was sent is empty.")
            : bytes.ToArray();
    }
}
