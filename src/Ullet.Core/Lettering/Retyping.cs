using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Lettering;

/// <summary>Carries what was changed at single letters over to a text that was typed anew.</summary>
/// <remarks>The longest common subsequence of both texts, in which a touched letter counts for more than any number of
/// others; a touched letter that is still left over goes to the nearest free place of the same letter.</remarks>
public static class Retyping
{
    /// <summary>The touches at their letters' places in the new text; those whose letter is gone are dropped.</summary>
    public static ImmutableArray<LetterTouch> Carry(ImmutableArray<LetterTouch> touches, string before, string after)
    {
        if (touches.IsEmpty)
        {
            return touches;
        }
        var (old, now) = (Characters.Of(before), Characters.Of(after));
        var touched = touches.ToDictionary(touch => touch.Index);
        var places = Common(old, now, [.. touched.Keys]);
        // Only touched letters need their place for themselves.
        var taken = touched.Keys.Where(places.ContainsKey).Select(index => places[index]).ToHashSet();
        foreach (var index in touched.Keys.Where(index => !places.ContainsKey(index) && index < old.Length).Order())
        {
            var free = Enumerable
                .Range(0, now.Length)
                .Where(i => now[i] == old[index] && !taken.Contains(i))
                .OrderBy(i => Math.Abs(i - index))
                .Cast<int?>()
                .FirstOrDefault();
            if (free is { } place)
            {
                places[index] = place;
                taken.Add(place);
            }
        }
        return
        [
            .. touches
                .Where(touch => places.ContainsKey(touch.Index))
                .Select(touch => touch with { Index = places[touch.Index] })
                .OrderBy(touch => touch.Index),
        ];
    }

    private static Dictionary<int, int> Common(
        ImmutableArray<string> old,
        ImmutableArray<string> now,
        HashSet<int> touched
    )
    {
        var heavy = Math.Max(old.Length, now.Length) + 1;
        var best = new int[old.Length + 1, now.Length + 1];
        int Gain(int i) => touched.Contains(i) ? heavy : 1;
        for (var i = old.Length - 1; i >= 0; i--)
        {
            for (var j = now.Length - 1; j >= 0; j--)
            {
                Budget.Spend();
                var skip = Math.Max(best[i + 1, j], best[i, j + 1]);
                best[i, j] = old[i] == now[j] ? Math.Max(skip, best[i + 1, j + 1] + Gain(i)) : skip;
            }
        }
        var places = new Dictionary<int, int>();
        for (int i = 0, j = 0; i < old.Length && j < now.Length; )
        {
            if (old[i] == now[j] && best[i, j] == best[i + 1, j + 1] + Gain(i))
            {
                places[i++] = j++;
            }
            else if (best[i, j] == best[i + 1, j])
            {
                i++;
            }
            else
            {
                j++;
            }
        }
        return places;
    }
}
