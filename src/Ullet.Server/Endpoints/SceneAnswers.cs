using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Server.Documents;
using Ullet.Server.Scenes;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>Changes answered with the scene after them, so that nobody has to ask for it.</summary>
internal sealed class SceneAnswers(DocumentHistory history, EvaluatedHeads heads, SceneBuilder scenes, Workbench bench)
{
    /// <summary>What is said of a change: the head that it made and its scene, or why it can't be made.</summary>
    internal async Task<Results<Ok<EditAnswer>, ProblemHttpResult>> Of(
        Result<Saved> saved,
        CancellationToken cancellation
    )
    {
        if (!saved.IsOk)
        {
            return Problems.Of(saved.Refusal!);
        }
        var (head, label) = saved.Value;
        return TypedResults.Ok(new EditAnswer(head.Revision, label, await SavedScene(head, cancellation)));
    }

    /// <summary>The scene of a head, or of what would be made of it.</summary>
    internal async Task<SceneDto> Scene(
        string what,
        Head head,
        Func<CancellationToken, Evaluated> evaluated,
        CancellationToken cancellation
    )
    {
        var around = await history.Around(head.Row.Id, head.Revision, cancellation);
        return bench.Run(WorkKind.Showing, what, token => scenes.Build(head, evaluated(token), around));
    }

    /// <summary>The scene of what is saved already: that it takes too much does not make the change undone.</summary>
    private async Task<SceneDto?> SavedScene(Head head, CancellationToken cancellation)
    {
        try
        {
            return await Scene("This project", head, token => heads.Of(head, token), cancellation);
        }
        catch (TooMuchException)
        {
            return null;
        }
    }
}
