using System.Diagnostics;
using Ullet.Core.Evaluation;

namespace Ullet.Server.Documents;

/// <summary>Keeps the latest evaluations, up to a number of bytes: of each project's head, and of its newest preview.</summary>
public sealed class EvaluatedHeads(Evaluator evaluator)
{
    private readonly RecentEvaluations _heads = new(48_000_000);
    private readonly RecentEvaluations _previews = new(16_000_000);

    /// <summary>What the stations made of a head; null where it is not at hand.</summary>
    public Evaluated? Known(string projectId, long revision) => _heads.Find(projectId, revision);

    /// <summary>What the stations make of a head.</summary>
    public Evaluated Of(Head head, CancellationToken cancellation)
    {
        if (_heads.Find(head.Row.Id, head.Revision) is { } known)
        {
            // The unit that is shown is no part of the revision: what was computed holds in any.
            return known.Project.Unit == head.Project.Unit ? known : InUnit(head, known);
        }
        var watch = Stopwatch.StartNew();
        var value = evaluator.Evaluate(head.Project, cancellation);
        _heads.Keep(head.Row.Id, head.Revision, value, watch.Elapsed);
        return value;
    }

    private Evaluated InUnit(Head head, Evaluated known)
    {
        var shown = known with { Project = known.Project with { Unit = head.Project.Unit } };
        _heads.Keep(head.Row.Id, head.Revision, shown, TimeOf(head.Row.Id));
        return shown;
    }

    /// <summary>Takes over what was computed for an edit that is saved now.</summary>
    public void Adopt(string projectId, long revision, Evaluated value) =>
        _heads.Keep(projectId, revision, value, TimeOf(projectId));

    /// <summary>How long it took to compute a project when it was opened; nothing for one that was not.</summary>
    public TimeSpan TimeOf(string projectId) => _heads.TimeOf(projectId);

    /// <summary>Keeps what was computed for a preview; its steps can be fetched until the next preview or edit.</summary>
    public void KeepPreview(Head head, Evaluated value) =>
        _previews.Keep(head.Row.Id, head.Revision, value, TimeSpan.Zero);

    /// <summary>The newest preview made on this head, or null.</summary>
    public Evaluated? PreviewOn(string projectId, long revision) => _previews.Find(projectId, revision);
}
