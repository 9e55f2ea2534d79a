using System.Collections.Frozen;
using System.Collections.Immutable;
using Ullet.Core.Projects;

namespace Ullet.Server.Stash;

/// <summary>Which threads of a stash, each of one kind, can hardly be told apart.</summary>
internal sealed class AlikeThreads
{
    private readonly FrozenDictionary<string, ImmutableArray<string>> _near;

    private AlikeThreads(FrozenDictionary<string, ImmutableArray<string>> near) => _near = near;

    /// <summary>The ids of threads that look like one.</summary>
    internal ImmutableArray<string> To(string id) => _near.GetValueOrDefault(id, []);

    internal static AlikeThreads Of(ImmutableArray<StashThread> threads)
    {
        var near = new Dictionary<string, ImmutableArray<string>.Builder>(StringComparer.Ordinal);
        foreach (var kind in threads.GroupBy(thread => thread.Kind))
        {
            var lit = kind.Select(thread => (Thread: thread, Light: ColourDistance.Lightness(thread.Colour)))
                .OrderBy(each => each.Light)
                .ToList();
            for (var i = 0; i < lit.Count; i++)
            {
                // What differs in lightness by more is told apart by that alone.
                for (var j = i + 1; j < lit.Count && lit[j].Light - lit[i].Light <= 2 * ColourDistance.HardlyTold; j++)
                {
                    var (one, other) = (lit[i].Thread, lit[j].Thread);
                    if (ColourDistance.Between(one.Colour, other.Colour) <= ColourDistance.HardlyTold)
                    {
                        Add(near, one.Id, other.Id);
                        Add(near, other.Id, one.Id);
                    }
                }
            }
        }
        return new AlikeThreads(
            near.ToFrozenDictionary(pair => pair.Key, pair => pair.Value.ToImmutable(), StringComparer.Ordinal)
        );
    }

    private static void Add(Dictionary<string, ImmutableArray<string>.Builder> near, string id, string other)
    {
        if (!near.TryGetValue(id, out var known))
        {
            near[id] = known = ImmutableArray.CreateBuilder<string>();
        }
        known.Add(other);
    }
}
