using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Opened;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;
using Ullet.Files.Fonts;
using Ullet.Server.Demo;

namespace Ullet.Bench;

/// <summary>What the blocks of the demo projects are for, told from their bare needle points.</summary>
internal static class RolesBench
{
    internal static IEnumerable<string> Run()
    {
        var (all, right, unsure) = (0, 0, 0);
        var context = new EditContext(new Evaluator(new StationCache(), new FontShelf()));
        foreach (var project in DemoShelf.Projects())
        {
            foreach (var hooping in context.Evaluator.Evaluate(project).Hoopings)
            {
                var steps = hooping
                    .Program.Steps.OfType<ProgramStitches>()
                    .Where(step => step.Commands.Length > 0)
                    .ToList();
                var readings = steps
                    .Select(step => BlockReader.Read(DesignOfProgram.Points(step.Commands)))
                    .ToImmutableArray();
                var roles = RoleGuess.Of(readings, [.. steps.Select(step => step.StopAfter)]);
                for (var i = 0; i < steps.Count; i++)
                {
                    var form = project.Find(steps[i].Key.OwnerId)?.Form;
                    var meant =
                        RoleWords.Of(steps[i].Role)
                        ?? (form is TextForm ? OpenedRole.Lettering : OpenedRole.Decoration);
                    all++;
                    right += meant == roles[i].Role ? 1 : 0;
                    unsure += roles[i].IsUnsure ? 1 : 0;
                    if (meant != roles[i].Role || roles[i].IsUnsure)
                    {
                        yield return $"{project.Title, -22} {steps[i].Role, -18} {steps[i].OwnerName, -22} {readings[i].Look} {meant} {roles[i]}";
                    }
                }
            }
        }
        yield return $"{all} blocks, {100.0 * right / all:0.0} % right, {100.0 * unsure / all:0.0} % unsure";
    }
}
