using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Words as they would be sewn on an ordinary cloth, to choose a font by.</summary>
public static class SewnSample
{
    /// <summary>Longer words are shown by their outline only: sewing them in every font takes too long to wait for.</summary>
    public const int MostLetters = 12;

    /// <summary>The thread on top, mm; nothing for what is not sewn in satin, and for long words.</summary>
    /// <param name="outline">The words, mm.</param>
    /// <param name="letters">How many letters they have.</param>
    /// <param name="use">What is made of them.</param>
    /// <param name="cancellation">Stops the work.</param>
    public static ImmutableArray<ImmutableArray<Point>> Of(
        Outline outline,
        int letters,
        WordsUse use,
        CancellationToken cancellation
    )
    {
        if (use != WordsUse.Satin || letters > MostLetters)
        {
            return [];
        }
        var isOfLines = outline.Parts.IsEmpty;
        var making = new SatinMaking { Compensation = isOfLines ? 0 : null };
        var plan = new SatinPlan(
            SatinChoice.Numbers(making, null, null),
            isOfLines ? SatinBand.OfLetters : null,
            [],
            LetterOrder.LeftToRight,
            SatinChoice.JoinNearer
        );
        return
        [
            .. Stitchers
                .Of(plan)
                .Sew(plan, outline, cancellation)
                .Runs.Where(run => run.Kind == RunKind.Top)
                .Select(run => run.Points),
        ];
    }
}
