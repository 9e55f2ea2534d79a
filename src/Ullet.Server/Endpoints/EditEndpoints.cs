using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Edits;
using Ullet.Core.Pipeline;
using Ullet.Server.Documents;
using Ullet.Server.Scenes;
using Ullet.Server.Shapes06;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>An edit on the head that the caller knows.</summary>
public sealed record EditRequest
{
    public required long Head { get; init; }

    public required Edit Edit { get; init; }
}

/// <summary>A step back or forward from the head that the caller knows.</summary>
public sealed record HeadRequest
{
    public required long Head { get; init; }
}

/// <summary>A finding's mend, asked for by the check's name and the element.</summary>
public sealed record MendRequest
{
    public required long Head { get; init; }

    public required string Code { get; init; }

    public string? ElementId { get; init; }

    /// <summary>Which of the finding's mends, from 0.</summary>
    public int Mend { get; init; }

    /// <summary>True for every finding of the check that has such a mend, whatever its element.</summary>
    public bool All { get; init; }
}

/// <summary>The new head, what the edit is called, and the scene after it: of the new head, or of a preview, which saves nothing.
/// </summary>
/// <param name="Head">The head that stands now.</param>
/// <param name="Label">What the edit is called.</param>
/// <param name="Scene">Null where a change is saved whose scene takes more than may be taken; it is asked for apart then.</param>
public sealed record EditAnswer(long Head, string Label, SceneDto? Scene);

/// <summary>Changes of a document.</summary>
internal static class EditEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}").WithTags("Edits");
        group.MapPost("edits", Edit).WithName("edit").AddEndpointFilter<Adapter06>();
        group.MapPost("undo", Undo).WithName("undo").AddEndpointFilter<Adapter06>();
        group.MapPost("redo", Redo).WithName("redo").AddEndpointFilter<Adapter06>();
        group.MapPost("mends", Mend).WithName("mend").AddEndpointFilter<Adapter06>();
    }

    private static async Task<Results<Ok<EditAnswer>, ProblemHttpResult>> Edit(
        string id,
        EditBody body,
        DocumentHistory history,
        EvaluatedHeads heads,
        SceneAnswers answers,
        CancellationToken cancellation,
        bool preview = false
    )
    {
        var request = body.Request;
        if (request.Edit is SetUnit unit && !preview)
        {
            return await answers.Of(await history.Show(id, request.Head, unit, cancellation), cancellation);
        }
        if (!preview)
        {
            return await answers.Of(await history.Apply(id, request.Head, request.Edit, cancellation), cancellation);
        }
        if (await history.Load(id, cancellation) is not { } head)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var made = history.Made(head, request.Edit);
        if (!made.IsOk)
        {
            return Problems.Of(DocumentHistory.Shown(made.Refusal!, head.Project.Unit));
        }
        var evaluated = made.Value.Evaluated;
        heads.KeepPreview(head, evaluated);
        var scene = await answers.Scene("This preview", head, _ => evaluated, cancellation);
        return TypedResults.Ok(new EditAnswer(head.Revision, request.Edit.Label(head.Project), scene));
    }

    private static async Task<Results<Ok<EditAnswer>, ProblemHttpResult>> Undo(
        string id,
        HeadRequest request,
        DocumentHistory history,
        SceneAnswers answers,
        CancellationToken cancellation
    ) => await answers.Of(await history.Undo(id, request.Head, cancellation), cancellation);

    private static async Task<Results<Ok<EditAnswer>, ProblemHttpResult>> Redo(
        string id,
        HeadRequest request,
        DocumentHistory history,
        SceneAnswers answers,
        CancellationToken cancellation
    ) => await answers.Of(await history.Redo(id, request.Head, cancellation), cancellation);

    private static async Task<Results<Ok<EditAnswer>, ProblemHttpResult>> Mend(
        string id,
        MendRequest request,
        DocumentHistory history,
        EvaluatedHeads heads,
        SceneAnswers answers,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        if (await history.Load(id, cancellation) is not { } head)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var findings = bench.Run(WorkKind.Showing, "This project", token => heads.Of(head, token)).Findings;
        return
            MendEdits.Chosen(findings, request.Code, request.ElementId, request.Mend, request.All, head.Project)
                is { } edit
            ? await answers.Of(await history.Apply(id, request.Head, edit, cancellation), cancellation)
            : Problems.Of(new Refusal("mend-unknown", "code", "That finding is gone, or has no such mend."));
    }
}
