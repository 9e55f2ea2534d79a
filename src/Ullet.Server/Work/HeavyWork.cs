using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Server.Work;

/// <summary>A heavy computation as it is shown: what it does, its place (0 is being computed), since when, Unix ms.</summary>
public sealed record WorkItem(string Id, string What, int Place, long Since);

/// <summary>The queue of heavy computations: one at a time, the rest wait on their own threads in the order in which they came.</summary>
/// <remarks>Safe for several threads. Ordinary computations know nothing of it.</remarks>
public sealed class HeavyWork(TimeProvider clock)
{
    /// <summary>So many may stand in it; the next is asked to come again.</summary>
    public const int Most = 12;

    private readonly Lock _gate = new();
    private readonly List<Ticket> _tickets = [];

    /// <summary>Everything in the queue, the one being computed first.</summary>
    public ImmutableArray<WorkItem> Items
    {
        get
        {
            lock (_gate)
            {
                return [.. _tickets.Select((ticket, i) => new WorkItem(ticket.Id, ticket.What, i, ticket.Since))];
            }
        }
    }

    /// <summary>Takes a place and waits for its turn.</summary>
    /// <param name="id">Names the computation; a caller's own, so that it can be found and cancelled.</param>
    /// <param name="what">What it does: "Reading this drawing".</param>
    /// <param name="cancellation">Gives the place up.</param>
    /// <returns>The turn; disposing of it lets the next one begin.</returns>
    /// <exception cref="TooMuchException">When the queue is full.</exception>
    public Ticket Enter(string id, string what, CancellationToken cancellation)
    {
        var ticket = new Ticket(this, id, what, clock.GetUtcNow().ToUnixTimeMilliseconds());
        lock (_gate)
        {
            if (_tickets.Count >= Most)
            {
                throw new TooMuchException(
                    new Refusal(
                        "too-busy",
                        "work",
                        $"{Most} large computations stand in the queue already. Wait until some are done, and ask again."
                    )
                );
            }
            _tickets.Add(ticket);
            Next();
        }
        using var both = CancellationTokenSource.CreateLinkedTokenSource(cancellation, ticket.Cancelled);
        try
        {
            ticket.Turn.Wait(both.Token);
            return ticket;
        }
        catch (OperationCanceledException)
        {
            ticket.Dispose();
            throw;
        }
    }

    /// <summary>Ends a computation that stands in the queue or is being computed; false when there is none such.</summary>
    public bool Cancel(string id)
    {
        lock (_gate)
        {
            var found = _tickets.FindAll(ticket => ticket.Id == id);
            found.ForEach(ticket => ticket.Cancel());
            return found.Count > 0;
        }
    }

    private void Next()
    {
        if (_tickets.Count > 0)
        {
            _tickets[0].Turn.Set();
        }
    }

    /// <summary>A place in the queue.</summary>
    public sealed class Ticket : IDisposable
    {
        private readonly HeavyWork _queue;
        private readonly CancellationTokenSource _cancelled = new();

        internal Ticket(HeavyWork queue, string id, string what, long since) =>
            (_queue, Id, What, Since) = (queue, id, what, since);

        internal string Id { get; }

        internal string What { get; }

        internal long Since { get; }

        internal ManualResetEventSlim Turn { get; } = new();

        /// <summary>Set when somebody asked to end it.</summary>
        public CancellationToken Cancelled => _cancelled.Token;

        internal void Cancel() => _cancelled.Cancel();

        public void Dispose()
        {
            lock (_queue._gate)
            {
                if (_queue._tickets.Remove(this))
                {
                    _queue.Next();
                }
            }
        }
    }
}
