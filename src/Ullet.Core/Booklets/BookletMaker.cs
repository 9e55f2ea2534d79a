using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Evaluation;
using Ullet.Core.Layers;
using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Timing;

namespace Ullet.Core.Booklets;

/// <summary>Puts a booklet together from a project.</summary>
public static class BookletMaker
{
    /// <summary>The booklet of a project; one without steps has none to tell, and says so.</summary>
    public static Booklet Of(Evaluated evaluated)
    {
        var (project, program) = (evaluated.Project, evaluated.Program);
        var booklet = new Booklet(
            project.Title,
            program.Code,
            [.. Facts(evaluated)],
            Threads(program),
            CutRows.Of(evaluated),
            [.. Before(evaluated)],
            [
                // What is marked in other hoopings is needed before the first one begins.
                .. evaluated
                    .Hoopings.Skip(1)
                    .Select(output => new BookletChapter(
                        $"{output.Name}, in a hooping of its own",
                        BookletSteps.Of(evaluated, output)
                    )),
                new BookletChapter("Step by step", BookletSteps.Of(evaluated, evaluated.Hoopings[0])),
            ],
            FilmWork.Of(evaluated.Sheets),
            CareWords.Of(UsedCloths(evaluated)),
            program.Cautions
        );
        return BookletWords.In(booklet, project.Unit);
    }

    /// <summary>The hoop by its name, its field, and what owners call it in inches.</summary>
    private static string HoopText(Hoop hoop)
    {
        var field = FormattableString.Invariant($"{hoop.FieldWidth:0.#} × {hoop.FieldHeight:0.#} mm");
        var called = hoop.Inches is { } inches ? $" ({inches} in)" : "";
        return hoop.Name.Length > 0 && char.IsDigit(hoop.Name[0])
            ? $"sewing field {field}{called}"
            : $"{hoop.Name}, sewing field {field}{called}";
    }

    private static IEnumerable<BookletFact> Facts(Evaluated evaluated)
    {
        var (project, program) = (evaluated.Project, evaluated.Program);
        var size = FinishedSize(evaluated);
        if (size.Length > 0)
        {
            yield return new BookletFact(project.Seats.IsEmpty ? "Finished size" : "Size of all together", size);
        }
        if (!project.Seats.IsEmpty)
        {
            var orders = project.Seats.Select(seat => $"{seat.Number} ({seat.Says.Replace('\n', ' ')})");
            yield return new BookletFact("Orders, row by row", string.Join(", ", orders));
        }
        var seconds = evaluated.Hoopings.Sum(output => StepTimes.Of(output.Program).Sum());
        yield return new BookletFact(
            "Time",
            $"{BookletSteps.Minutes(seconds)} with hands; {FormattableString.Invariant($"{program.StitchCount:N0}")} stitches, {program.StopCount} stops"
        );
        yield return new BookletFact("Hoop", HoopText(project.Hooping.Hoop));
        var plan = PatternShelf.PlanOf(project);
        var hooped = program
            .Steps.OfType<ProgramHands>()
            .Where(hands => hands.Kind == HandKind.HoopUp)
            .SelectMany(hands => hands.Changes.OfType<LayerLaid>())
            .Select(laid => laid.Cloth)
            .ToList();
        if (hooped.Find(cloth => cloth.IsStabiliser()) is { } stabiliser)
        {
            yield return new BookletFact("Stabiliser", stabiliser.Name);
        }
        else if (hooped.FirstOrDefault() is { } ground)
        {
            yield return new BookletFact("Stabiliser", ClothPreset.Of(ground).Stabiliser);
        }
        yield return new BookletFact(
            "Needle",
            ClothPreset.Of(UsedCloths(evaluated).FirstOrDefault(cloth => cloth.IsSurface())).Needle
        );
        if (plan is not null && project.Pattern is { } use && PatternShelf.Find(use.PatternId) is { } pattern)
        {
            yield return new BookletFact("Made from", $"the pattern {pattern.Name}");
        }
    }

    /// <summary>What is left in the end: cut out and turned as it says, or the sewn design.</summary>
    private static string FinishedSize(Evaluated evaluated)
    {
        var last = HoopSights.Of(evaluated.Program).Steps.LastOrDefault();
        var box = last is { Clip.IsEmpty: false } ? Geometry.Box.Of(last.Clip) : evaluated.DesignBounds();
        return box.IsEmpty
            ? ""
            : FormattableString.Invariant(
                $"{box.Width:0} × {box.Height:0} mm ({box.Width / LengthText.MmPerInch:0.0} × {box.Height / LengthText.MmPerInch:0.0} in)"
            );
    }

    internal static IEnumerable<Cloth> UsedCloths(Evaluated evaluated) =>
        evaluated
            .Hoopings.SelectMany(output => output.Program.Steps.OfType<ProgramHands>())
            .SelectMany(hands => hands.Changes.OfType<LayerLaid>())
            .Select(laid => laid.Cloth)
            .DistinctBy(cloth => cloth.Id);

    private static ImmutableArray<BookletThread> Threads(StitchProgram program) =>
        [
            .. program
                .Steps.OfType<ProgramStitches>()
                .GroupBy(sewn => sewn.Thread)
                .Select(group => new BookletThread(
                    NumberWords.Of([.. group.Select(sewn => sewn.Block).Distinct().Order()]),
                    program.Threads[group.Key - 1].Name,
                    program.Threads[group.Key - 1].Colour
                )),
        ];

    private static IEnumerable<string> Before(Evaluated evaluated)
    {
        foreach (var advice in PatternShelf.PlanOf(evaluated.Project)?.Advice ?? [])
        {
            yield return advice;
        }
        foreach (
            var cloth in UsedCloths(evaluated)
                .Where(cloth => cloth.IsSurface() && ClothPreset.Of(cloth).Topping is not null)
        )
        {
            yield return $"Lay {ClothPreset.Of(cloth).Topping} over {cloth.Name} before its cover, so that it does not sink in.";
        }
        yield return $"The stitch file, this booklet and the card on a phone bear the code {evaluated.Program.Code}. Where another one stands, "
            + "one of them is of another state: make it anew.";
        yield return "Hold cloth with tape, never with pins: a pin breaks the needle. In the drawings dots are a right side and slanted lines a wrong "
            + "one; a dotted line is one to lay something along, a dashed one with scissors is one to cut.";
    }
}
