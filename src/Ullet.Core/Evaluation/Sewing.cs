using Ullet.Core.Applique;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Evaluation;

/// <summary>Sews hoopings: needle points of each step, and the program of them all.</summary>
internal sealed class Sewing(StationCache cache, Project project, CancellationToken cancellation)
{
    private readonly StitchStation _stitches = new();
    private readonly ProgramStation _program = new();

    internal HoopingOutput Of(HoopingSheet sheet)
    {
        var steps = sheet.RunSheet.Steps.OfType<StitchStep>().ToList();
        var keys = steps.ToDictionary(step => step.Key, step => _stitches.Key(step.Stage));
        var sewn = SideBySide.Map(steps, step => cache.Get(_stitches, step.Stage, cancellation));
        var stitches = steps.Zip(sewn).ToDictionary(pair => pair.First.Key, pair => pair.Second);
        var input = new ProgramInput(project, sheet.Hooping, sheet.RunSheet, stitches, keys);
        return new HoopingOutput(sheet.Hooping, sheet.RunSheet, cache.Get(_program, input, cancellation))
        {
            Stitches = stitches,
            StitchKeys = keys,
            Seats = sheet.Hooping.Id == project.Hooping.Id ? project.Seats : [],
        };
    }
}
