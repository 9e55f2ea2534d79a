using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Files.ProjectFiles;
using Ullet.Server.Documents;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>Loads and evaluates a project's head for a file.</summary>
internal sealed class HeadFiles(
    DocumentHistory history,
    EvaluatedHeads heads,
    AssetStore assets,
    Workbench bench,
    IHttpContextAccessor access
)
{
    internal async Task<Evaluated?> Of(string id, CancellationToken cancellation) =>
        (await Head(id, cancellation)).Evaluated;

    /// <summary>The head with what the stations make of it; nothing for a project that is not there.</summary>
    internal async Task<(Head? Head, Evaluated? Evaluated)> Head(string id, CancellationToken cancellation)
    {
        if (await history.Load(id, cancellation) is not { } head)
        {
            return (null, null);
        }
        access.HttpContext?.Items[Key] = head;
        return (head, bench.Run(WorkKind.Showing, "This project", token => heads.Of(head, token)));
    }

    private static readonly object Key = new();

    /// <summary>The head that a request's file was made from; null where it asked for none.</summary>
    internal static Head? Shown(HttpContext http) => http.Items[Key] as Head;

    /// <summary>Makes something of what was evaluated.</summary>
    internal T Compute<T>(string what, Func<T> make) => bench.Run(WorkKind.Showing, what, _ => make());

    internal Task<Results<FileContentHttpResult, ProblemHttpResult>> File(
        string id,
        Func<Evaluated, IReadOnlyList<ProjectAsset>, (byte[] Bytes, string Type, string? Name)> make,
        CancellationToken cancellation
    ) => File(id, evaluated => evaluated, make, cancellation);

    /// <summary>The same where something may stand against it.</summary>
    internal async Task<Results<FileContentHttpResult, ProblemHttpResult>> File(
        string id,
        Func<Evaluated, Result<Evaluated>> release,
        Func<Evaluated, IReadOnlyList<ProjectAsset>, (byte[] Bytes, string Type, string? Name)> make,
        CancellationToken cancellation
    )
    {
        if (await Of(id, cancellation) is not { } evaluated)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var released = release(evaluated);
        if (!released.IsOk)
        {
            return Problems.Of(released.Refusal!);
        }
        var brought = await assets.Of(evaluated.Project, cancellation);
        var (bytes, type, name) = Compute("This file", () => make(released.Value, brought));
        return TypedResults.File(bytes, type, name);
    }
}
