using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Findings;
using Ullet.Core.Geometry;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Timing;
using Ullet.Server.Documents;
using Ullet.Server.Scenes.Elements;

namespace Ullet.Server.Scenes;

/// <summary>Puts together what a screen draws.</summary>
public sealed class SceneBuilder(Evaluator evaluator)
{
    /// <summary>The last scene made of each evaluation; goes with it.</summary>
    private readonly ConditionalWeakTable<Evaluated, SceneDto> _made = [];

    /// <summary>The scene of a document; made once for many that ask.</summary>
    /// <param name="head">The saved state that the scene belongs to.</param>
    /// <param name="evaluated">The document drawn: the head's, or a preview's.</param>
    /// <param name="around">Labels of undo and redo.</param>
    public SceneDto Build(Head head, Evaluated evaluated, (string? Undo, string? Redo) around)
    {
        if (!_made.TryGetValue(evaluated, out var made) || made.ProjectId != head.Row.Id)
        {
            made = Made(head, evaluated, around);
            _made.AddOrUpdate(evaluated, made);
        }
        var own = made with
        {
            Head = head.Revision,
            SavedAt = head.SavedAt,
            UndoLabel = around.Undo,
            RedoLabel = around.Redo,
        };
        return SceneWords.In(own, head.Row.Unit ?? head.Project.Unit);
    }

    private SceneDto Made(Head head, Evaluated evaluated, (string? Undo, string? Redo) around)
    {
        var project = evaluated.Project;
        var program = evaluated.Program;
        var hooping = project.Hooping;
        var elements = new ElementDtos(evaluator);
        var order = new RunSheetDtos(evaluated);
        return new SceneDto(
            head.Row.Id,
            head.Revision,
            head.SavedAt,
            project.Title,
            head.Project.Unit,
            around.Undo,
            around.Redo,
            new HoopingDto(
                hooping.Name,
                hooping.Hoop.FieldWidth,
                hooping.Hoop.FieldHeight,
                hooping.TopClothId,
                hooping.StabiliserClothId ?? hooping.TopClothId,
                hooping.LineThreadId,
                hooping.CoverThreadId,
                hooping.GroundClothId is null,
                hooping.GroundHold,
                hooping.FootRadius
            )
            {
                Hoop = hooping.Hoop,
                HoopInches = hooping.Hoop.Inches,
            },
            project.Cloths,
            project.Threads,
            [.. project.Elements.Select(element => elements.Build(element, evaluated))],
            [
                .. Steps(evaluated.RunSheet, program, order)
                    .Select(step =>
                        step with
                        {
                            Photo = StepKey.Parse(step.Key) is { } key ? project.RunSheet.Of(key)?.Photo : null,
                        }
                    ),
            ],
            [.. evaluated.Findings.Select(Finding)],
            [.. evaluated.Sheets.Select(SheetDtos.Of)],
            SheetDtos.Cloths(evaluated),
            Size(evaluated.DesignBounds()),
            program.StitchCount,
            program.StopCount,
            StepTimes.Of(program).Sum(),
            DrawingSummary.Of(evaluated),
            project.RunSheet.Order,
            evaluated.Pieces.Length > 1
                ? new StopsDto(evaluated.StopsOf[StitchOrder.OneByOne], evaluated.StopsOf[StitchOrder.Together])
                : null,
            [
                .. evaluated
                    .Hoopings.Skip(1)
                    .Select(guide => new CutGuideDto(
                        guide.Id,
                        guide.Name,
                        Steps(guide.RunSheet, guide.Program, null),
                        guide.Program.StitchCount,
                        guide.Program.StopCount,
                        StepTimes.Of(guide.Program).Sum()
                    )),
            ],
            order.Whole(),
            PatternDtos.Of(evaluated),
            [.. evaluated.Base.Select(layer => new ClothPathDto(layer.Cloth.Id, PathText.Of(layer.Area)))],
            [.. project.Colourways.Select(own => new ColourwayDto(own.Id, own.Name, own.IsWorn(project)))]
        )
        {
            Source = evaluated,
            Code = program.Code,
            Reading = ReadingOrder.Of(project, evaluated.Outlines),
            AllClear = AllClear.Of(evaluated.CheckedOn),
            NextWords = NextWords.Of(project, evaluator),
        };
    }

    private static ImmutableArray<StepDto> Steps(RunSheet sheet, StitchProgram program, RunSheetDtos? order)
    {
        var seconds = StepTimes.Of(program);
        var stages = sheet.Steps.OfType<StitchStep>().ToDictionary(step => step.Key, step => step.Stage);
        var parts = new Dictionary<StepKey, int>();
        return [.. program.Steps.Select((step, i) => Step(step, seconds[i], program, stages, parts, order))];
    }

    private static StepDto Step(
        ProgramStep step,
        double seconds,
        StitchProgram program,
        Dictionary<StepKey, Stage> stages,
        Dictionary<StepKey, int> parts,
        RunSheetDtos? order
    )
    {
        if (step is ProgramHands hands)
        {
            return new StepDto(
                hands.Key.ToString(),
                StepKind.Hand,
                hands.Key.OwnerId,
                hands.OwnerName,
                HandTable.Of(hands.Kind).Name,
                hands.Text,
                hands.Warning,
                hands.Note,
                null,
                hands.Kind,
                null,
                null,
                seconds,
                0,
                false,
                null,
                hands.Check,
                hands.HoopOff,
                order?.Of(hands.Key)
            );
        }
        var sewn = (ProgramStitches)step;
        // A step with several threads comes in several blocks; each is a line of its own here.
        var part = parts[sewn.Key] = parts.GetValueOrDefault(sewn.Key, -1) + 1;
        return new StepDto(
            part == 0 ? sewn.Key.ToString() : $"{sewn.Key}{StepPart}{part}",
            StepKind.Stitch,
            sewn.Key.OwnerId,
            sewn.OwnerName,
            part == 0 ? sewn.Role : $"{sewn.Role}, another thread",
            null,
            null,
            null,
            stages[sewn.Key].Id,
            null,
            part == 0 ? stages[sewn.Key].ThreadId : null,
            program.Threads[sewn.Thread - 1].Colour,
            seconds,
            sewn.StitchCount,
            sewn.StopAfter,
            StitchBytes.KeyOf(sewn),
            null,
            false,
            part == 0 ? order?.Of(sewn.Key) : null
        );
    }

    /// <summary>Stands between a step's key and the number of its block, from the second one on.</summary>
    internal const char StepPart = '~';

    private static FindingDto Finding(Finding finding) =>
        new(
            finding.Code,
            finding.Level,
            finding.ElementId,
            finding.At?.X,
            finding.At?.Y,
            finding.Words,
            finding.Mends.FirstOrDefault()?.Label,
            [.. finding.Mends.Select(mend => mend.Label)]
        );

    internal static SizeDto? Size(Box box) =>
        box.IsEmpty ? null : new SizeDto(box.MinX, box.MinY, box.Width, box.Height);
}
