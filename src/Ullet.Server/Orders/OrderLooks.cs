using System.Collections.Concurrent;
using Ullet.Core.Orders;
using Ullet.Core.Pipeline;
using Ullet.Files.Orders;
using Ullet.Files.Pictures;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Work;

namespace Ullet.Server.Orders;

/// <summary>Small pictures of orders that were drawn, up to a number; then it is begun anew.</summary>
internal sealed class OrderPictures
{
    private const int Most = 800;

    private readonly ConcurrentDictionary<string, byte[]> _kept = new(StringComparer.Ordinal);

    internal byte[] Of(string key, Func<byte[]> draw)
    {
        if (_kept.TryGetValue(key, out var known))
        {
            return known;
        }
        if (_kept.Count >= Most)
        {
            _kept.Clear();
        }
        return _kept[key] = draw();
    }
}

/// <summary>Pictures and proofs of orders.</summary>
internal sealed class OrderLooks(
    DocumentHistory history,
    RevisionReader revisions,
    MasterStates states,
    AssetStore assets,
    OrderPictures kept,
    Workbench bench
)
{
    /// <summary>Pictures up to this size are kept, pixels.</summary>
    private const int Small = 480;

    /// <summary>What an order looks like: in the state that it holds to, or in another.</summary>
    /// <param name="projectId">The master.</param>
    /// <param name="revision">The master's state; null for today's.</param>
    /// <param name="values">What the order says, as it is stored.</param>
    /// <param name="size">The longer side, pixels.</param>
    /// <param name="cancellation">Ends it.</param>
    internal async Task<Result<byte[]>> Picture(
        string projectId,
        long? revision,
        string values,
        int size,
        CancellationToken cancellation
    )
    {
        if (await revisions.At(projectId, revision, cancellation) is not { } head)
        {
            return DocumentHistory.Unknown(projectId);
        }
        var photos = AssetStore.PicturesOf(await assets.Of(head.Project, cancellation));
        byte[] Draw() =>
            bench.Run(
                WorkKind.Showing,
                "This picture",
                token =>
                {
                    var (state, context) = State(head, token);
                    var filled = state.Judge.Fill(OrderJson.Read(values));
                    var evaluated = context.Evaluator.Evaluate(filled.Project, state.Evaluated, token);
                    return ProjectPicture.Png(evaluated, size, PictureFrame.Design, photos);
                }
            );
        return size <= Small ? kept.Of($"{projectId} {head.Revision} {size} {values}", Draw) : Draw();
    }

    private (MasterState State, Core.Edits.EditContext Context) State(Head head, CancellationToken token)
    {
        var context = history.Context with { Cancellation = token };
        return (states.Of(head, context, token), context);
    }

    /// <summary>Orders as their proofs show them, one after the other as they are asked for.</summary>
    /// <returns>Them; or which can't be proofed, and why.</returns>
    internal async Task<Result<(string Title, IEnumerable<ProofOrder> Orders)>> Proofs(
        string projectId,
        IReadOnlyList<OrderRow> rows,
        CancellationToken cancellation
    )
    {
        var heads = new Dictionary<long, Head>();
        foreach (var revision in rows.Select(row => row.Revision ?? 0).Distinct())
        {
            if (await revisions.At(projectId, revision == 0 ? null : revision, cancellation) is not { } head)
            {
                return DocumentHistory.Unknown(projectId);
            }
            heads[revision] = head;
        }
        // Stops are told before the first page is drawn.
        var stopped = bench.Run(
            WorkKind.Showing,
            "These proofs",
            token =>
                rows.Select(row =>
                    {
                        var (state, _) = State(heads[row.Revision ?? 0], token);
                        var judged = states.Judge(state, row.Values).Order;
                        return judged.Filled.IsWhole ? null : $"Order {row.Number}: {judged.Findings[0].Words}";
                    })
                    .FirstOrDefault(why => why is not null)
        );
        return stopped is not null
            ? new Refusal("order-stopped", "ids", stopped) { Kind = RefusalKind.NotPossible }
            : (
                heads.Values.First().Project.Title,
                rows.Select(row => Proof(heads[row.Revision ?? 0], row, cancellation))
            );
    }

    private ProofOrder Proof(Head head, OrderRow row, CancellationToken cancellation)
    {
        var (state, _) = State(head, cancellation);
        var judged = state.Judge.Of(OrderJson.Read(row.Values));
        return new ProofOrder(
            OrderJson.Of(row),
            [
                .. judged
                    .Filled.Outcomes.Where(outcome => outcome.Said.Length > 0)
                    .Select(outcome => (outcome.Label, outcome.Said)),
            ],
            judged.Evaluated!,
            OrderSum.Of(judged, states.NameOf)
        );
    }
}
