using System.Collections.Immutable;
using Ullet.Core.Cutting;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Timing;

namespace Ullet.Core.Orders;

/// <summary>What an order takes: to be told beside its files, and summed up over many.</summary>
/// <param name="Says">What its fill-ins say.</param>
/// <param name="Stitches">Needle points.</param>
/// <param name="Stops">Stops for hands.</param>
/// <param name="Seconds">At the machine, hands included.</param>
/// <param name="Hoopings">Times in the hoop.</param>
/// <param name="Width">Of the whole design, mm.</param>
/// <param name="Height">Of the whole design, mm.</param>
/// <param name="Fonts">The fonts of its words, by name.</param>
/// <param name="Threads">Each with the metres of its stitches.</param>
/// <param name="Cloths">What is cut or laid, each with the square centimetres of what is cut.</param>
/// <param name="Stamp">Stands for what is sewn and cut; titles and names left out.</param>
public sealed record OrderSum(
    string Says,
    int Stitches,
    int Stops,
    double Seconds,
    int Hoopings,
    double Width,
    double Height,
    ImmutableArray<string> Fonts,
    ImmutableArray<StuffUse> Threads,
    ImmutableArray<StuffUse> Cloths,
    string Stamp
)
{
    /// <param name="order">An order that was computed.</param>
    /// <param name="fontName">A font's name by its id.</param>
    public static OrderSum Of(JudgedOrder order, Func<string, string> fontName) =>
        Of(
            order.Evaluated
                ?? throw new ArgumentException("An order that was not computed takes nothing.", nameof(order)),
            order.Filled.Words,
            fontName
        );

    /// <param name="evaluated">The project of an order, or of several in one hoop.</param>
    /// <param name="says">What its fill-ins say.</param>
    /// <param name="fontName">A font's name by its id.</param>
    public static OrderSum Of(Evaluated evaluated, string says, Func<string, string> fontName)
    {
        var box = evaluated.DesignBounds();
        return new OrderSum(
            says,
            evaluated.Hoopings.Sum(hooping => hooping.Program.StitchCount),
            evaluated.Hoopings.Sum(hooping => hooping.Program.StopCount),
            evaluated.Hoopings.Sum(hooping => StepTimes.Of(hooping.Program).Sum()),
            evaluated.Hoopings.Length,
            box.Width,
            box.Height,
            [
                .. evaluated
                    .Project.Elements.Select(element => element.FormedAs<TextForm>()?.FontId)
                    .OfType<string>()
                    .Distinct(StringComparer.Ordinal)
                    .Select(fontName)
                    .Order(StringComparer.Ordinal),
            ],
            [
                .. evaluated
                    .Hoopings.SelectMany(Sewn)
                    .GroupBy(use => (use.Name, use.Colour))
                    .Select(group => new StuffUse(
                        group.Key.Name,
                        group.Key.Colour,
                        Math.Round(group.Sum(use => use.Amount), 1)
                    )),
            ],
            [
                .. evaluated
                    .Sheets.GroupBy(sheet => sheet.Cloth.Id, StringComparer.Ordinal)
                    .Select(group => new StuffUse(
                        group.First().Cloth.Name,
                        group.First().Cloth.Colour,
                        Math.Ceiling(group.Sum(AreaOf))
                    )),
            ],
            StampOf(evaluated)
        );
    }

    /// <summary>cm² of what is cut of a sheet.</summary>
    private static double AreaOf(CutSheet sheet) =>
        sheet.Shapes.Sum(placed => placed.Outline.Flatten().Sum(region => region.Area)) / 100;

    private static IEnumerable<StuffUse> Sewn(HoopingOutput hooping)
    {
        foreach (var step in hooping.Program.Steps.OfType<ProgramStitches>())
        {
            var (length, last) = (0.0, (Point?)null);
            foreach (var command in step.Commands.Where(command => command.Kind == NeedleKind.Stitch))
            {
                Budget.Spend();
                length += last is { } before ? before.DistanceTo(command.At) : 0;
                last = command.At;
            }
            var thread = hooping.Program.Threads[step.Thread - 1];
            yield return new StuffUse(thread.Name, thread.Colour, length / 1000);
        }
    }

    /// <summary>Stands for what is sewn and cut: the same for two orders that come out alike.</summary>
    public static string StampOf(Evaluated evaluated)
    {
        var sewn = evaluated.Hoopings.SelectMany(hooping =>
            hooping.Program.Steps.Select(step =>
                step switch
                {
                    ProgramStitches stitches =>
                        $"{stitches.Key} {hooping.Program.Threads[stitches.Thread - 1].Name} {stitches.Block} {stitches.StopAfter} {hooping.StitchKeys.GetValueOrDefault(stitches.Key).Hex} {stitches.Commands.Length}",
                    ProgramHands hands => $"{hands.Key} {hands.Text} {hands.Warning} {hands.Check} {hands.HoopOff}",
                    _ => throw new ArgumentException($"{step.GetType().Name} has no stamp.", nameof(evaluated)),
                }
            )
        );
        return ContentHash.Of(sewn.Concat(evaluated.Sheets.Select(sheet => CutStamp.Of(sheet))).ToArray(), "order").Hex;
    }
}

/// <summary>A thread or a cloth, and how much of it.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Colour">#rrggbb.</param>
/// <param name="Amount">Metres of thread, or square centimetres of cloth.</param>
public sealed record StuffUse(string Name, string Colour, double Amount);
