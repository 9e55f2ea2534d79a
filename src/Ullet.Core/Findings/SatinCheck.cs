using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>What can't be sewn in strokes from side to side, and what compensation closes that was open.</summary>
internal sealed class SatinCheck : ICheck
{
    /// <summary>Compensation that closes something is lowered in steps of so much, mm.</summary>
    private const double Step = 0.05;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var element in input.Project.Elements)
        {
            if (element.MadeAs<SatinMaking>() is not { } satin)
            {
                continue;
            }
            Budget.Spend();
            foreach (var finding in Fallen(element, input))
            {
                yield return finding;
            }
            var thread = input.Project.FindThread(satin.ThreadId);
            var numbers = SatinChoice.Numbers(satin, SatinChoice.Ground(element, input.Project), thread);
            if (input.Outlines.TryGetValue(element.Id, out var outline) && !satin.AlongLines && !outline.Parts.IsEmpty)
            {
                foreach (var finding in Closed(element, outline, numbers.Compensation))
                {
                    yield return finding;
                }
            }
        }
    }

    private static IEnumerable<Finding> Fallen(Element element, FindingInput input) =>
        FallenWords
            .Of(element, input.Stitches.Where(pair => pair.Key.OwnerId == element.Id).Select(pair => pair.Value))
            .Select(words => new Finding(
                words.IsTooWide ? "satin-wide" : "satin-thin",
                words.IsTooWide ? FindingLevel.Tip : FindingLevel.Warn,
                element.Id,
                words.Worst.At,
                words.Said(element.Name)
            ));

    /// <summary>Letters that compensation makes touch, and counters that it closes.</summary>
    private static IEnumerable<Finding> Closed(Element element, Outline outline, double compensation)
    {
        var drawn = outline.Flatten();
        if (compensation <= 0)
        {
            yield break;
        }
        var sewn = RegionOffset.By(drawn, compensation);
        var (holes, kept) = (drawn.Sum(region => region.Holes.Length), sewn.Sum(region => region.Holes.Length));
        var touches = sewn.Length < drawn.Length;
        if (!touches && kept >= holes)
        {
            yield break;
        }
        var less = compensation;
        while (less > Step && Closes(drawn, less))
        {
            Budget.Spend();
            less -= Step;
        }
        var what =
            touches && kept < holes ? "makes parts touch and closes a counter"
            : touches ? "makes parts touch that stand apart"
            : "closes a counter";
        var box = outline.Bounds();
        yield return new Finding(
            "satin-closes",
            FindingLevel.Warn,
            element.Id,
            box.Centre,
            $"The compensation of {element.Name}, {compensation:0.00} mm on each side, {what}. "
                + (
                    touches
                        ? "Space the letters a little, or take less compensation."
                        : "Take less compensation, or make it larger."
                ),
            less < compensation && less > 0 ? new LessCompensationMend(element.Id, Math.Round(less, 2)) : null
        );
    }

    private static bool Closes(ImmutableArray<Region> drawn, double compensation)
    {
        var sewn = RegionOffset.By(drawn, compensation);
        return sewn.Length < drawn.Length
            || sewn.Sum(region => region.Holes.Length) < drawn.Sum(region => region.Holes.Length);
    }
}
