using System.Collections.Concurrent;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Orders;
using Ullet.Server.Data;
using Ullet.Server.Documents;

namespace Ullet.Server.Orders;

/// <summary>A master in one of its states, with the judge of its orders, and what was judged of them already.</summary>
internal sealed class MasterState(Evaluated evaluated, OrderJudge judge)
{
    private const int MostJudged = 12_000;

    private readonly ConcurrentDictionary<string, Judged> _judged = new(StringComparer.Ordinal);

    internal Evaluated Evaluated { get; } = evaluated;

    internal OrderJudge Judge { get; } = judge;

    internal long Used { get; set; }

    /// <summary>What was judged of an order that says this; null for one that was not.</summary>
    internal Judged? Known(string values) => _judged.GetValueOrDefault(values);

    internal Judged Keep(string values, Judged judged)
    {
        if (_judged.Count >= MostJudged)
        {
            _judged.Clear();
        }
        return _judged[values] = judged;
    }
}

/// <summary>What is kept of an order that was judged.</summary>
/// <param name="Order">Its outcomes and findings; what was computed is left out.</param>
/// <param name="Sum">What it takes; null where it could not be computed.</param>
internal sealed record Judged(JudgedOrder Order, OrderSum? Sum);

/// <summary>Masters in the states that orders hold to; the longest unused leave first.</summary>
internal sealed class MasterStates(Evaluator evaluator, Ullet.Files.Fonts.FontShelf fonts)
{
    private const int Most = 6;

    private readonly ConcurrentDictionary<(string ProjectId, long Revision), MasterState> _states = new();

    private long _clock;

    /// <summary>What is known of a state; null where it was not computed yet.</summary>
    internal MasterState? Known(string projectId, long revision) =>
        _states.TryGetValue((projectId, revision), out var known) ? Touched(known) : null;

    /// <summary>A state, computed where it is not known.</summary>
    /// <param name="head">The state's document.</param>
    /// <param name="context">What edits read.</param>
    /// <param name="cancellation">Ends it.</param>
    internal MasterState Of(Head head, EditContext context, CancellationToken cancellation)
    {
        var key = (head.Row.Id, head.Revision);
        if (_states.TryGetValue(key, out var known))
        {
            return Touched(known);
        }
        var evaluated = evaluator.Evaluate(head.Project, cancellation);
        // The judge outlives the request that made it.
        var state = new MasterState(evaluated, new OrderJudge(context with { Cancellation = default }, evaluated));
        _states[key] = state;
        while (_states.Count > Most)
        {
            _states.TryRemove(_states.MinBy(pair => pair.Value.Used).Key, out _);
        }
        return Touched(state);
    }

    /// <summary>An order judged in a state: known, or computed now.</summary>
    internal Judged Judge(MasterState state, string values)
    {
        if (state.Known(values) is { } known)
        {
            return known;
        }
        var judged = state.Judge.Of(OrderJson.Read(values));
        var sum = judged.Evaluated is null ? null : OrderSum.Of(judged, NameOf);
        return state.Keep(values, new Judged(judged with { Evaluated = null, Filled = Bare(judged.Filled) }, sum));
    }

    internal string NameOf(string fontId) => fonts.Find(fontId)?.Name ?? fontId;

    /// <summary>Documents of orders are not kept: they are filled in again when somebody looks.</summary>
    private static FilledOrder Bare(FilledOrder filled) =>
        filled with
        {
            Project = new Core.Projects.Project { Title = "", Hoopings = [] },
            Rooms = [],
        };

    private MasterState Touched(MasterState state)
    {
        state.Used = Interlocked.Increment(ref _clock);
        return state;
    }
}

/// <summary>Loads states of projects by their revision.</summary>
internal sealed class RevisionReader(UlletDb db, DocumentHistory history)
{
    /// <summary>A project in a state; null where it is not there.</summary>
    internal async Task<Head?> At(string projectId, long? revision, CancellationToken cancellation)
    {
        var head = await history.Load(projectId, cancellation);
        if (head is null || revision is null || revision == head.Revision)
        {
            return head;
        }
        var row = await db
            .Revisions.AsNoTracking()
            .FirstOrDefaultAsync(r => r.Id == revision && r.ProjectId == projectId, cancellation);
        return row is null ? null : new Head(head.Row, row.Id, row.At, Snapshot.Unpack(row.Snapshot));
    }
}
