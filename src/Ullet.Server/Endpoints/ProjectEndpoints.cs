using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Edits;
using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Fonts;
using Ullet.Files.Pictures;
using Ullet.Files.ProjectFiles;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>How a new project begins: blank with a title and a field, or from an imported file's token.</summary>
public sealed record NewProject
{
    public string? Title { get; init; }

    /// <summary>mm.</summary>
    public double? FieldWidth { get; init; }

    /// <summary>mm.</summary>
    public double? FieldHeight { get; init; }

    /// <summary>A hoop of one's own, instead of a field by its numbers.</summary>
    public string? HoopId { get; init; }

    /// <summary>The pattern to make it from; null for a blank one.</summary>
    public NewPattern? Pattern { get; init; }

    /// <summary>What the import answered.</summary>
    public string? ImportToken { get; init; }
}

/// <summary>The pattern of a new project; numbers and fill-ins left out are the usual ones.</summary>
public sealed record NewPattern
{
    public required string PatternId { get; init; }

    public ImmutableArray<PatternNumber> Numbers { get; init; } = [];

    public ImmutableArray<PatternPick> Choices { get; init; } = [];

    public ImmutableArray<PatternText> FillIns { get; init; } = [];
}

public sealed record CreatedProject(string Id, long Head);

/// <summary>A whole document with its head.</summary>
public sealed record ProjectDto(string Id, long Head, long SavedAt, Project Project);

/// <summary>/api/projects: making, reading, copying and deleting them.</summary>
internal static class ProjectEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects").WithTags("Projects");
        group.MapPost("", Create).WithName("createProject");
        group.MapGet("{id}", Get).WithName("getProject");
        group.MapDelete("{id}", Delete).WithName("deleteProject");
        group.MapPost("{id}/restore", Restore).WithName("restoreProject");
        group.MapPost("{id}/copy", Copy).WithName("copyProject");
    }

    private static async Task<Results<Created<CreatedProject>, ProblemHttpResult>> Create(
        NewProject wish,
        DocumentHistory history,
        AssetStore assets,
        KeptShelf kept,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        var project = wish.ImportToken is { } token
            ? await Imported(assets, bench, token, cancellation)
            : BlankProject.Make(wish.Title ?? PatternTitle(wish), wish.FieldWidth, wish.FieldHeight);
        if (wish.HoopId is { } hoopId)
        {
            project = kept.Hoops.FirstOrDefault(own => own.Id == hoopId) is { } own
                ? project.Then(blank => SetHooping.To(own.Hoop).Apply(blank, history.Context))
                : KeptShelf.NoHoop(hoopId);
        }
        if (wish.Pattern is { } pattern)
        {
            project = bench.Run(
                WorkKind.Changing,
                "This pattern",
                token =>
                    project.Then(blank =>
                        new UsePattern
                        {
                            PatternId = pattern.PatternId,
                            Numbers = pattern.Numbers,
                            Choices = pattern.Choices,
                            FillIns = pattern.FillIns,
                            FontId = FontShelf.UsualId,
                        }.Apply(blank, history.Context with { Cancellation = token })
                    )
            );
        }
        if (!project.IsOk)
        {
            return Problems.Of(project.Refusal!);
        }
        var label =
            wish.ImportToken is not null ? "Open from file"
            : wish.Pattern is not null ? "New project from a pattern"
            : "New project";
        // What comes from a file is cut as it says itself.
        var begun = wish.ImportToken is null ? KeptCuts.Begun(project.Value, history.Context.KeptCuts) : project.Value;
        return Created(await history.Create(begun, label, cancellation));
    }

    private static Results<Created<CreatedProject>, ProblemHttpResult> Created(Result<CreatedProject> made) =>
        made.IsOk ? TypedResults.Created($"/api/projects/{made.Value.Id}", made.Value) : Problems.Of(made.Refusal!);

    private static string? PatternTitle(NewProject wish) =>
        wish.Pattern is { } pattern ? PatternShelf.Find(pattern.PatternId)?.Name : null;

    private static async Task<Results<Ok<ProjectDto>, ProblemHttpResult>> Get(
        string id,
        DocumentHistory history,
        CancellationToken cancellation
    ) =>
        await history.Load(id, cancellation) is { } head
            ? TypedResults.Ok(new ProjectDto(id, head.Revision, head.SavedAt, head.Project))
            : Problems.Of(DocumentHistory.Unknown(id));

    private static async Task<Results<NoContent, ProblemHttpResult>> Delete(
        string id,
        UlletDb db,
        TimeProvider clock,
        CancellationToken cancellation
    )
    {
        var now = clock.GetUtcNow().ToUnixTimeMilliseconds();
        var changed = await db
            .Projects.Where(p => p.Id == id && p.DeletedAt == null)
            .ExecuteUpdateAsync(set => set.SetProperty(p => p.DeletedAt, now), cancellation);
        return changed == 1 ? TypedResults.NoContent() : Problems.Of(DocumentHistory.Unknown(id));
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Restore(
        string id,
        UlletDb db,
        CancellationToken cancellation
    )
    {
        var changed = await db
            .Projects.Where(p => p.Id == id && p.DeletedAt != null)
            .ExecuteUpdateAsync(set => set.SetProperty(p => p.DeletedAt, (long?)null), cancellation);
        return changed == 1
            ? TypedResults.NoContent()
            : Problems.Of(
                new Refusal("project-unknown", "id", $"There is no project \"{id}\" in the bin.")
                {
                    Kind = RefusalKind.NotFound,
                }
            );
    }

    private static async Task<Results<Created<CreatedProject>, ProblemHttpResult>> Copy(
        string id,
        DocumentHistory history,
        UlletDb db,
        CancellationToken cancellation
    )
    {
        if (await history.Load(id, cancellation) is not { } head)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        const string Ending = ", copy";
        var title = head.Project.Title;
        title = title[..Math.Min(title.Length, Limits.LongestName - Ending.Length)] + Ending;
        title = await Titles.Free(db, title, cancellation);
        return Created(await history.Create(head.Project with { Title = title }, "Copy", cancellation, head.Project));
    }

    /// <summary>The project of an imported file; the fonts and pictures that it brings are kept.</summary>
    private static async Task<Result<Project>> Imported(
        AssetStore assets,
        Workbench bench,
        string token,
        CancellationToken cancellation
    )
    {
        if (await assets.Find(token, cancellation) is not { } asset)
        {
            return new Refusal(
                "import-unknown",
                "importToken",
                "That import is not known any more; choose the file again."
            );
        }
        var read = bench.Run(WorkKind.Reading, "Reading this project file", _ => ProjectFile.Read(asset.Bytes));
        if (!read.IsOk)
        {
            return read.Refusal!;
        }
        foreach (var brought in read.Value.Assets)
        {
            if (brought.Kind == AssetStore.FontKind)
            {
                await assets.AddFont(brought.Bytes, cancellation);
            }
            else if (brought.Kind == StitchDesignShelf.Kind)
            {
                await assets.Keep(StitchDesignShelf.Kind, brought.Bytes, cancellation);
            }
            else if (
                bench
                    .Run(WorkKind.Reading, "Reading a picture of this project", _ => PictureReader.Size(brought.Bytes))
                    .IsOk
            )
            {
                await assets.Keep(AssetStore.PictureKind, brought.Bytes, cancellation);
            }
        }
        return read.Value.Project;
    }
}
