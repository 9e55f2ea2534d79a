using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

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

    private static IEnumerable<Finding> Fallen(Element element, FindingInput input)
    {
        var parts = input
            .Stitches.Where(pair => pair.Key.OwnerId == element.Id)
            .SelectMany(pair => pair.Value.Fallen)
            .ToList();
        // A band is as wide as was asked for, and thin where it tapers.
        var isBand = element.MadeAs<SatinMaking>() is { AlongLines: true };
        foreach (var group in parts.Where(part => part.IsTooWide || !isBand).GroupBy(part => part.IsTooWide))
        {
            var worst = group.MaxBy(part => part.Length)!;
            var count = group.Count() == 1 ? "One part" : $"{group.Count()} parts";
            var (verb, subject) = group.Count() == 1 ? ("is", "It is") : ("are", "They are");
            yield return new Finding(
                group.Key ? "satin-wide" : "satin-thin",
                group.Key ? FindingLevel.Tip : FindingLevel.Warn,
                element.Id,
                worst.At,
                group.Key
                    ? $"{count} of {element.Name} {verb} up to {LengthText.Mm(group.Max(part => part.Width))} wide, more than strokes of {StitchDefaults.WidestColumn:0} mm hold. {subject} sewn in rows of short stitches."
                    : $"{count} of {element.Name} {verb} only {LengthText.Mm(group.Min(part => part.Width))} wide, too narrow for strokes. {subject} sewn as a run; larger letters, a thicker font or a single-line font look better."
            );
        }
    }

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
