using System.Collections.Immutable;
using Ullet.Core.Opened;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Parts of a pattern as opened stitches: a pattern's hands belong to its plan, so its steps are lifted out as they are sewn, each
/// with the hands that work directly before it.</summary>
internal static class PatternClips
{
    /// <summary>What is sewn of elements of a pattern, as elements that stand alone with their hands; the cloths that those lay are added to
    /// the document's.</summary>
    internal static (Project Project, ImmutableArray<Element> Elements) Lifted(
        Project project,
        IReadOnlyCollection<string> ids,
        EditContext context
    )
    {
        var program = context.Evaluator.Evaluate(project, context.Cancellation).Hoopings[0].Program;
        var steps = ImmutableArray.CreateBuilder<ProgramStep>();
        var waiting = new List<ProgramStep>();
        foreach (var step in program.Steps)
        {
            Budget.Spend();
            if (step is ProgramHands hands)
            {
                if (hands.Kind != HandKind.HoopUp)
                {
                    waiting.Add(hands);
                }
                continue;
            }
            if (ids.Contains(step.Key.OwnerId))
            {
                steps.AddRange(waiting);
                steps.Add(step);
            }
            waiting.Clear();
        }
        if (steps.Count == 0)
        {
            return (project, []);
        }
        var design = DesignOfProgram.Of(program with { Steps = steps.ToImmutable() });
        var file = new OpenedFile($"o{project.NextNumber}", project.Title, "", new OpenedReading());
        project = project with { NextNumber = project.NextNumber + 1, OpenedFiles = project.OpenedFiles.Add(file) };
        (project, var stuff) = OpenedStuff.Brought(project, design);
        var made = OpenedBlocks.Of(design, file, stuff, project.NextNumber, null);
        return (project with { NextNumber = project.NextNumber + made.Length + 1 }, made);
    }
}
