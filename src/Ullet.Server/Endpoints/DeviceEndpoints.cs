using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.CutFiles;
using Ullet.Files.StitchLists;
using Ullet.Server.Devices;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>What a test cut shows: a small ring with a tab, lifted to judge.</summary>
/// <param name="LiftsOut">True when the ring comes out clean.</param>
/// <param name="MarksMat">True when the blade went far too deep.</param>
/// <param name="Reached">How deep it came, mm.</param>
/// <param name="Thickest">The cloth where it is thickest, mm.</param>
/// <param name="SuggestedDepth">A depth that would do, mm; null when this one does.</param>
/// <param name="Words">The same in words.</param>
/// <param name="CutLength">What the blade cut for it, mm.</param>
/// <param name="Through">For places all round the ring: is the blade through there?</param>
public sealed record TestCut(
    bool LiftsOut,
    bool MarksMat,
    double Reached,
    double Thickest,
    double? SuggestedDepth,
    string Words,
    double CutLength,
    ImmutableArray<bool> Through
)
{
    /// <summary>The ring's middle on the mat, mm; null where nothing was said of what is cut.</summary>
    public double? RingX { get; init; }

    /// <summary>The ring's middle on the mat, mm.</summary>
    public double? RingY { get; init; }
}

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
            .WithDescription("Takes a cut file (SVG, DXF) as the body, or as the first file of a form.");
        group.MapPost("cutter/test-cut", TestCut).WithName("testCut");
    }

    private static async Task<Results<Ok<Rehearsal>, ProblemHttpResult>> Rehearse(
        HttpRequest request,
        Workbench bench,
        CancellationToken cancellation,
        string unit = "millimetre"
    )
    {
        var file = await Bytes(request, cancellation);
        var run = bench.Run(
            WorkKind.Reading,
            "This rehearsal",
            _ =>
                file.Then(bytes => StitchListReader.Read(bytes))
                    .Then(program => (Result<Rehearsal>)StandInMachine.Run(program))
        );
        return run.IsOk ? TypedResults.Ok(RehearsedWords.In(run.Value, UnitOf(unit))) : Problems.Of(run.Refusal!);
    }

    private static LengthUnit UnitOf(string unit) =>
        unit.Equals("inch", StringComparison.OrdinalIgnoreCase) ? LengthUnit.Inch : LengthUnit.Millimetre;

    private static async Task<Results<Ok<DryRun>, ProblemHttpResult>> DryRun(
        HttpRequest request,
        [AsParameters] CutterSetup setup,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        if (setup.Check() is { } refusal)
        {
            return Problems.Of(refusal);
        }
        var sent = await Bytes(request, cancellation);
        var run = bench.Run(
            WorkKind.Reading,
            "This dry run",
            _ =>
                sent.Then(bytes => CutFileReader.Read(bytes))
                    .Then(file => ForCloth(file, setup.Cloth))
                    .Then(NotTooMany)
                    .Then(file => (Result<DryRun>)StandInCutter.Run(file, setup))
        );
        return run.IsOk ? TypedResults.Ok(run.Value) : Problems.Of(run.Refusal!);
    }

    /// <summary>Refuses a file that says it is for another cloth than the one on the mat.</summary>
    private static Result<CutFile> ForCloth(CutFile file, string? onMat) =>
        file.Cloth is { } meant && onMat is not null && !string.Equals(meant, onMat, StringComparison.OrdinalIgnoreCase)
            ? new Refusal(
                "cut-file-other-cloth",
                "cloth",
                $"This file is for {meant}, and {onMat} lies on the mat. Take the right file, or change the cloth."
            )
            : file;

    private static Result<CutFile> NotTooMany(CutFile file) =>
        file.Lines.Length > StandInCutter.MostLines
            ? new Refusal(
                "cut-file-too-many-lines",
                "file",
                $"This cut file has {file.Lines.Length:N0} lines; the stand-in cutter takes up to {StandInCutter.MostLines:N0}. "
                    + "Join lines that belong together, or split the file."
            )
            : file;

    private static Results<Ok<TestCut>, ProblemHttpResult> TestCut([AsParameters] CutterSetup setup)
    {
        if (setup.Check() is { } refusal)
        {
            return Problems.Of(refusal);
        }
        if (setup.FrameWidth is not null && setup.Ring is null)
        {
            return Problems.Of(
                new Refusal(
                    "ring-no-room",
                    "corner",
                    "There is no room on the mat for a ring beside what is cut, so none was cut. Move the file on the mat, or test on "
                        + "a scrap of the same cloth."
                )
                {
                    Kind = RefusalKind.NotPossible,
                }
            );
        }
        var blade = setup.Blade;
        return TypedResults.Ok(
            new TestCut(
                blade.IsThrough,
                blade.MarksMat,
                blade.Reached,
                blade.Thickest,
                blade.IsThrough && !blade.MarksMat ? null : blade.Suggested,
                blade.Words(),
                BladeModel.RingLength * blade.Passes,
                blade.Round
            )
            {
                RingX = setup.Ring?.X,
                RingY = setup.Ring?.Y,
            }
        );
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
