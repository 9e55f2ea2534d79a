using System.Collections.Immutable;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Stitches;

namespace Ullet.Core.Program;

/// <summary>What the program is compiled from.</summary>
/// <param name="Project">The document: title, threads, cloths.</param>
/// <param name="Hooping">The time in the hoop: its name and hoop.</param>
/// <param name="RunSheet">The steps in order.</param>
/// <param name="Stitches">Needle points of each stitch step, by key.</param>
/// <param name="StitchKeys">The stations' keys of the same.</param>
public sealed record ProgramInput(
    Project Project,
    Hooping Hooping,
    RunSheet RunSheet,
    IReadOnlyDictionary<StepKey, StepStitches> Stitches,
    IReadOnlyDictionary<StepKey, ContentHash> StitchKeys
);

/// <summary>Run sheet and needle points to the program: blocks, stops, travel, locks, trims.</summary>
public sealed class ProgramStation : IStation<ProgramInput, StitchProgram>
{
    public int Version => 8;

    public long Bytes(StitchProgram output) => output.Bytes;

    public ContentHash Key(ProgramInput input)
    {
        var steps = input.RunSheet.Steps.Select(step =>
            step switch
            {
                StitchStep stitch => ContentHash.Combine(
                    input.StitchKeys[step.Key],
                    ContentHash.Of(
                        new
                        {
                            step.Key,
                            step.OwnerName,
                            stitch.Stage.ThreadId,
                            stitch.Stage.Words,
                        },
                        "stitch"
                    )
                ),
                HandStep hand => ContentHash.Of(
                    new
                    {
                        step.Key,
                        step.OwnerName,
                        hand.Work.Text,
                        hand.Work.Kind,
                        hand.Work.Warning,
                        hand.Work.Check,
                        hand.Work.HoopOff,
                        Changes = hand.Work.Changes.Select(LayerChangeKey.Of),
                        hand.Note,
                    },
                    "hand"
                ),
                _ => throw new InvalidOperationException("Unknown kind of step."),
            }
        );
        var frame = ContentHash.Of(
            new
            {
                input.Project.Title,
                input.Project.Threads,
                input.Project.Cloths,
                input.Hooping.Name,
                input.Hooping.Hoop,
            },
            $"program-{Version}"
        );
        // Hand texts carry sizes rounded up; the layers' exact areas follow from the outlines.
        var outlines = input.RunSheet.Steps.OfType<StitchStep>().Select(step => step.Stage.OutlineKey);
        return ContentHash.Combine([frame, .. steps, .. outlines]);
    }

    public StitchProgram Compute(ProgramInput input, CancellationToken cancellation)
    {
        var steps = input.RunSheet.Steps;
        var used = steps
            .OfType<StitchStep>()
            .SelectMany(step =>
                input.Stitches[step.Key].Runs.Select(run => run.ThreadId).OfType<string>().Prepend(step.Stage.ThreadId)
            )
            .Distinct(StringComparer.Ordinal)
            .Where(id => input.Project.FindThread(id) is not null)
            .ToList();
        var threads = used.Select((id, i) => Describe(input.Project.FindThread(id)!, i + 1)).ToImmutableArray();
        var compiled = ImmutableArray.CreateBuilder<ProgramStep>();
        var needle = new NeedleWriter();
        var sight = new TravelSight(steps, input.Stitches);
        var block = 0;
        var freshBlock = true;
        string? lastThread = null;
        for (var i = 0; i < steps.Length; i++)
        {
            Budget.Spend();
            cancellation.ThrowIfCancellationRequested();
            if (steps[i] is HandStep hand)
            {
                compiled.Add(
                    new ProgramHands(
                        hand.Key,
                        hand.OwnerName,
                        hand.Work.Kind,
                        hand.Work.Text,
                        hand.Work.Warning,
                        hand.Note,
                        hand.Work.HoopOff,
                        hand.Work.Changes
                    )
                    {
                        Check = hand.Work.Check,
                    }
                );
                freshBlock = true;
                continue;
            }
            var step = (StitchStep)steps[i];
            var next = i + 1 < steps.Length ? steps[i + 1] as StitchStep : null;
            var handsNext = i + 1 < steps.Length && next is null;
            // What is taken out again hangs on nothing that stays.
            var sectionEnds =
                next is null
                || next.Stage.ThreadId != step.Stage.ThreadId
                || StageTable.Of(step.Stage.Id).IsTakenOut
                || StageTable.Of(next.Stage.Id).IsTakenOut;
            var number = i;
            var sewn = needle.Write(
                input.Stitches[step.Key],
                (from, to, later, done) => sight.MayTravel(from, to, number, later, done),
                sectionEnds
            );
            for (var part = 0; part < sewn.Count; part++)
            {
                Budget.Spend();
                var thread = sewn[part].ThreadId is { } own && used.Contains(own) ? own : step.Stage.ThreadId;
                if (freshBlock || thread != lastThread)
                {
                    block++;
                }
                (freshBlock, lastThread) = (false, thread);
                compiled.Add(
                    new ProgramStitches(
                        step.Key,
                        step.OwnerName,
                        step.Stage.Words,
                        used.IndexOf(thread) + 1,
                        block,
                        handsNext && part == sewn.Count - 1,
                        sewn[part].Commands
                    )
                    {
                        Roles = sewn[part].Roles,
                    }
                );
            }
        }
        var hoop = input.Hooping.Hoop;
        return new StitchProgram(
            input.Project.Title,
            input.Hooping.Name,
            hoop.FieldWidth,
            hoop.FieldHeight,
            threads,
            TieOffs.Owned(compiled.ToImmutable())
        );
    }

    private static ProgramThread Describe(MachineThread thread, int number) =>
        new(number, thread.Label, thread.Colour, thread.Kind);
}
