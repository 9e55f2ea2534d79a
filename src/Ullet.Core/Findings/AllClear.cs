using System.Collections.Immutable;
using Ullet.Core.Applique;

namespace Ullet.Core.Findings;

/// <summary>What may be said where no check found anything: only what was looked at.</summary>
public static class AllClear
{
    /// <summary>A sentence or two.</summary>
    public static string Of(FindingInput input)
    {
        var sewn = input.Program.StitchCount > 0;
        if (!sewn && input.Sheets.IsEmpty)
        {
            return "Nothing is sewn or cut yet, so there is nothing to check.";
        }
        var said = ImmutableArray.CreateBuilder<string>();
        if (sewn)
        {
            said.Add("everything sewn lies in the field");
        }
        if (!input.Sheets.IsEmpty)
        {
            said.Add("every cut shape lies on its mat");
        }
        var covered = input.Pieces.Where(work => !work.Part.Element.Stages.Cover.Off).ToList();
        var hidden = covered.Count(work => CoverChoice.Of(work.Part.Element, work.Cloth).HidesEdge);
        var open = input.Pieces.Length - hidden;
        if (hidden > 0)
        {
            said.Add(
                open == 0
                    ? "every edge is covered"
                    : $"the {(hidden == 1 ? "edge" : "edges")} under a dense cover {(hidden == 1 ? "is" : "are")} hidden"
            );
        }
        var raw =
            open == 0 ? ""
            : open == 1 ? " One piece has no cover that hides its edge: it stays in sight."
            : $" {open} pieces have no cover that hides their edges: they stay in sight.";
        return $"The checks found nothing to mend: {Listed(said)}.{raw}";
    }

    private static string Listed(ImmutableArray<string>.Builder said) =>
        said.Count < 2 ? said[0] : $"{string.Join(", ", said.Take(said.Count - 1))}, and {said[^1]}";
}
