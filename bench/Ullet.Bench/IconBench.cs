using Ullet.Files.Tests.Drawings;

namespace Ullet.Bench;

/// <summary>Five hundred icons of two general icon packages against a raster of the same files.</summary>
internal static class IconBench
{
    /// <summary>Areas may differ by this share.</summary>
    private const double Bound = 0.01;

    /// <summary>Prints what came of them.</summary>
    /// <returns>False when an icon came in with a wrong area.</returns>
    internal static bool Run()
    {
        var (taken, outlines, refused, wrong) = (0, 0, new List<string>(), new List<string>());
        foreach (var (name, file) in IconPackages.All())
        {
            var outcome = IconAreas.Compare(file);
            outlines += outcome.Outlines;
            if (outcome.Refusal is { } why)
            {
                refused.Add($"{name}: {why}");
            }
            else if (outcome.Worst > Bound)
            {
                wrong.Add($"{name}: off by {outcome.Worst:P2}");
            }
            else
            {
                taken++;
            }
        }
        Console.WriteLine(
            $"{"icons taken with areas within 1 % of a raster", -58} {taken, 9} of {taken + refused.Count + wrong.Count}, {outlines} outlines; "
                + $"{refused.Count} refused with a sentence   {(wrong.Count == 0 ? "holds" : "BREACHED")}"
        );
        foreach (var line in refused.Concat(wrong).Take(20))
        {
            Console.WriteLine("  " + line);
        }
        return wrong.Count == 0;
    }
}
