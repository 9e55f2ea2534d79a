using System.Collections.Immutable;
using Ullet.Core.Cutting;
using Ullet.Core.Evaluation;
using Ullet.Core.Findings;
using Ullet.Core.Geometry;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Timing;
using Ullet.Server.Documents;

namespace Ullet.Server.Scenes;

/// <summary>Puts together what a screen draws.</summary>
public sealed class SceneBuilder(Evaluator evaluator)
{
    /// <param name="head">The saved state that the scene belongs to.</param>
    /// <param name="evaluated">The document drawn: the head's, or a preview's.</param>
    /// <param name="around">Labels of undo and redo.</param>
    public SceneDto Build(Head head, Evaluated evaluated, (string? Undo, string? Redo) around)
    {
        var project = evaluated.Project;
        var program = evaluated.Program;
        var hooping = project.Hooping;
        var elements = new ElementDtos(evaluator);
        return new SceneDto(
            head.Row.Id,
            head.Revision,
            head.SavedAt,
            project.Title,
            project.Unit,
            around.Undo,
            around.Redo,
            new HoopingDto(
                hooping.Name,
                hooping.Hoop.FieldWidth,
                hooping.Hoop.FieldHeight,
                hooping.GroundClothId,
                hooping.StabiliserClothId,
                hooping.LineThreadId,
                hooping.CoverThreadId
            ),
            project.Cloths,
            project.Threads,
            [.. project.Elements.Select(element => elements.Build(element, evaluated))],
            Steps(evaluated),
            [.. evaluated.Findings.Select(Finding)],
            [.. evaluated.Sheets.Select(Sheet)],
            Size(evaluated.DesignBounds()),
            program.StitchCount,
            program.StopCount,
            StepTimes.Of(program).Sum(),
            DrawingSummary.Of(evaluated)
        );
    }

    private static ImmutableArray<StepDto> Steps(Evaluated evaluated)
    {
        var seconds = StepTimes.Of(evaluated.Program);
        var threads = evaluated
            .RunSheet.Steps.OfType<Core.RunSheets.StitchStep>()
            .ToDictionary(step => step.Key, step => step.Stage.ThreadId);
        return
        [
            .. evaluated.Program.Steps.Select(
                (step, i) =>
                    step switch
                    {
                        ProgramStitches sewn => new StepDto(
                            sewn.Key.ToString(),
                            StepKind.Stitch,
                            sewn.Key.OwnerId,
                            sewn.OwnerName,
                            sewn.Role,
                            null,
                            null,
                            null,
                            null,
                            threads[sewn.Key],
                            seconds[i],
                            sewn.StitchCount,
                            sewn.StopAfter,
                            StitchBytes.KeyOf(sewn)
                        ),
                        ProgramHands hands => new StepDto(
                            hands.Key.ToString(),
                            StepKind.Hand,
                            hands.Key.OwnerId,
                            hands.OwnerName,
                            HandWords.Of(hands.Kind),
                            hands.Text,
                            hands.Warning,
                            hands.Note,
                            hands.Kind,
                            null,
                            seconds[i],
                            0,
                            false,
                            null
                        ),
                        _ => throw new InvalidOperationException("Unknown kind of step."),
                    }
            ),
        ];
    }

    private static FindingDto Finding(Finding finding) =>
        new(
            finding.Code,
            finding.Level,
            finding.ElementId,
            finding.At?.X,
            finding.At?.Y,
            finding.Words,
            finding.Mend?.Label
        );

    private static SheetDto Sheet(CutSheet sheet) =>
        new(
            sheet.Cloth.Id,
            sheet.Cloth.Name,
            sheet.MatWidth,
            sheet.MatHeight,
            sheet.IsMirrored,
            sheet.Layout == SheetLayout.SideBySide,
            sheet.Fits,
            [
                .. sheet.Shapes.Select(placed =>
                {
                    var box = placed.Outline.Bounds();
                    return new SheetShapeDto(
                        placed.Shape.ElementId,
                        placed.Shape.Ordinal,
                        placed.Shape.Name,
                        PathText.Of(placed.Outline),
                        Size(box)!,
                        placed.Shape.Allowance,
                        placed.Shape.IsTemplate,
                        LengthText.SixteenthsUp(box.Width),
                        LengthText.SixteenthsUp(box.Height)
                    );
                }),
            ]
        );

    internal static SizeDto? Size(Box box) =>
        box.IsEmpty ? null : new SizeDto(box.MinX, box.MinY, box.Width, box.Height);
}
