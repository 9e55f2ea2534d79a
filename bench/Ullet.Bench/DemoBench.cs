using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Timing;
using Ullet.Files.Fonts;
using Ullet.Server.Demo;

namespace Ullet.Bench;

/// <summary>What every demo project costs at the machine, so that one state of the engine can be held against another.</summary>
internal static class DemoBench
{
    /// <summary>Prints a row for each demo project: stitches, trims, stops, minutes with hands.</summary>
    internal static void Run()
    {
        Console.WriteLine($"{"demo project", -26} {"stitches", 9} {"trims", 6} {"stops", 6} {"minutes", 8}");
        foreach (var project in DemoShelf.Projects())
        {
            var programs = new Evaluator(new StationCache(), new FontShelf())
                .Evaluate(project)
                .Hoopings.Select(hooping => hooping.Program)
                .ToList();
            var trims = programs.Sum(program => program.Steps.OfType<ProgramStitches>().Sum(step => step.TrimCount));
            var minutes = programs.Sum(program => StepTimes.Of(program).Sum()) / 60;
            Console.WriteLine(
                $"{project.Title, -26} {programs.Sum(program => program.StitchCount), 9} {trims, 6} {programs.Sum(program => program.StopCount), 6} {minutes, 8:0.0}"
            );
        }
    }
}
