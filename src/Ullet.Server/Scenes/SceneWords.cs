using System.Collections.Immutable;
using Ullet.Core.Projects;
using Ullet.Server.Scenes.Elements;

namespace Ullet.Server.Scenes;

/// <summary>A scene's sentences in the unit that is shown: names and texts that a person typed are left alone.</summary>
internal static class SceneWords
{
    internal static DetailDto In(DetailDto detail, LengthUnit unit) =>
        detail.EdgeMatch is { } match
            ? detail with
            {
                EdgeMatch = match with
                {
                    Words = LengthWords.In(match.Words, unit),
                    Mends = [.. match.Mends.Select(mend => mend with { Label = LengthWords.In(mend.Label, unit) })],
                },
            }
            : detail;

    internal static SceneDto In(SceneDto scene, LengthUnit unit)
    {
        scene = scene with { Unit = unit };
        if (unit == LengthUnit.Millimetre)
        {
            return scene;
        }
        string Said(string words) => LengthWords.In(words, unit);
        string? Told(string? words) => words is null ? null : Said(words);
        ImmutableArray<string> All(ImmutableArray<string> words) => [.. words.Select(Said)];
        StepDto Step(StepDto step) =>
            step with
            {
                Text = Told(step.Text),
                Warning = Told(step.Warning),
                Check = Told(step.Check),
                Order = step.Order is { } order
                    ? order with
                    {
                        Broken = All(order.Broken),
                        Told = All(order.Told),
                        Group = Told(order.Group),
                    }
                    : null,
            };
        return scene with
        {
            AllClear = Said(scene.AllClear),
            Summary = Said(scene.Summary),
            Findings =
            [
                .. scene.Findings.Select(finding =>
                    finding with
                    {
                        Words = Said(finding.Words),
                        MendLabel = Told(finding.MendLabel),
                        Mends = All(finding.Mends),
                    }
                ),
            ],
            Steps = [.. scene.Steps.Select(Step)],
            Guides = [.. scene.Guides.Select(guide => guide with { Steps = [.. guide.Steps.Select(Step)] })],
            RunSheet = scene.RunSheet with
            {
                Turning = scene.RunSheet.Turning is { } turning ? turning with { Words = Said(turning.Words) } : null,
            },
            Sheets =
            [
                .. scene.Sheets.Select(sheet =>
                    sheet with
                    {
                        Shapes = [.. sheet.Shapes.Select(shape => shape with { Words = Said(shape.Words) })],
                    }
                ),
            ],
            Elements =
            [
                .. scene.Elements.Select(element =>
                    element with
                    {
                        Making = element.Making.Worded(Said),
                        Operations =
                        [
                            .. element.Operations.Select(operation => operation with { Note = Told(operation.Note) }),
                        ],
                    }
                ),
            ],
        };
    }
}
