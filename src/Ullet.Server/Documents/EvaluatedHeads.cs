using System.Collections.Concurrent;
using Ullet.Core.Evaluation;
using Ullet.Core.Projects;

namespace Ullet.Server.Documents;

/// <summary>Keeps the latest evaluations: of each project's head, and of its newest preview.</summary>
public sealed class EvaluatedHeads(Evaluator evaluator)
{
    private const int MostProjects = 24;

    private readonly ConcurrentDictionary<string, (long Revision, Evaluated Value)> _heads = new(
        StringComparer.Ordinal
    );
    private readonly ConcurrentDictionary<string, (long Revision, Evaluated Value)> _previews = new(
        StringComparer.Ordinal
    );

    /// <summary>What the stations make of a head.</summary>
    public Evaluated Of(Head head, CancellationToken cancellation)
    {
        if (_heads.TryGetValue(head.Row.Id, out var known) && known.Revision == head.Revision)
        {
            return known.Value;
        }
        var value = evaluator.Evaluate(head.Project, cancellation);
        if (_heads.Count >= MostProjects)
        {
            _heads.Clear();
        }
        _heads[head.Row.Id] = (head.Revision, value);
        return value;
    }

    /// <summary>Evaluates a document that is not saved; its steps can be fetched until the next preview or edit.</summary>
    public Evaluated Preview(Head head, Project project, CancellationToken cancellation)
    {
        var value = evaluator.Evaluate(project, cancellation);
        if (_previews.Count >= MostProjects)
        {
            _previews.Clear();
        }
        _previews[head.Row.Id] = (head.Revision, value);
        return value;
    }

    /// <summary>The newest preview made on this head, or null.</summary>
    public Evaluated? PreviewOn(Head head) =>
        _previews.TryGetValue(head.Row.Id, out var known) && known.Revision == head.Revision ? known.Value : null;
}
