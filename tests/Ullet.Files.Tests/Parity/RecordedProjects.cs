using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;
using Ullet.Files.Fonts;

namespace Ullet.Files.Tests.Parity;

/// <summary>The projects that are recorded: the demo's, patterns by sizes and fill-ins, methods by covers and open edges, letters.</summary>
internal static class RecordedProjects
{
    private static readonly Project Bare = DemoWork.Patch.Project with
    {
        Elements = [],
        RunSheet = new RunSheetOverrides(),
        Cut = new CutSettings(),
        NextNumber = 1,
    };

    internal static IEnumerable<(string Name, Project Project)> All() =>
        [
            .. DemoWork.All.Select((pair, i) => ($"demo-{i + 1}", pair.Value.Project)),
            .. PatternShelf.All.SelectMany(Patterns),
            .. Enum.GetValues<Method>().Select(method => ($"method-{Named(method)}", OfMethod(method))),
            .. Enum.GetValues<WordsUse>().Select(use => ($"letters-{Named(use)}", OfLetters(use))),
        ];

    private static IEnumerable<(string, Project)> Patterns(IPattern pattern)
    {
        PatternUse[] uses =
        [
            new(pattern.Id),
            new(pattern.Id) { FillIns = [.. pattern.FillIns.Select(fill => new PatternText(fill.Id, ""))] },
            new(pattern.Id) { Numbers = [new PatternNumber("width", 140), new PatternNumber("height", 110)] },
            new(pattern.Id)
            {
                Numbers = [new PatternNumber("width", 150), new PatternNumber("height", 120)],
                FillIns =
                [
                    .. pattern.FillIns.Select(fill => new PatternText(
                        fill.Id,
                        fill.Choices.IsEmpty ? "Åsa & Jo" : fill.Choices[^1]
                    )),
                ],
            },
        ];
        return uses.Select(
            (use, i) =>
                (
                    $"pattern-{pattern.Id}-{i + 1}",
                    Made(
                        Bare,
                        new UsePattern
                        {
                            PatternId = use.PatternId,
                            Numbers = use.Numbers,
                            FillIns = Filled(use.FillIns),
                            FontId = FontShelf.UsualId,
                        }
                    )
                )
        );
    }

    private static ImmutableArray<PatternText> Filled(ImmutableArray<PatternText> texts) =>
        [.. texts.Where(text => text.Id != "motif" || text.Text.Length > 0)];

    /// <summary>A piece of each kind of cover, each partly under the next, the last with a stretch laid open by hand.</summary>
    private static Project OfMethod(Method method)
    {
        var project = Bare;
        var kinds = Enum.GetValues<CoverKind>();
        for (var i = 0; i < kinds.Length; i++)
        {
            project = Made(
                project,
                new AddPiece
                {
                    Shape = i % 2 == 0 ? new HeartShape() : new StarShape(6, 0.7),
                    Box = new ElementBox(-45 + (i * 17), -30 + (i * 11), 36, 32, i * 12),
                    ClothId = i % 2 == 0 ? "beet" : "leaf",
                    Method = method,
                }
            );
            project = Made(project, new SetCoverKind { ElementId = project.Elements[^1].Id, Kind = kinds[i] });
        }
        var top = project.Elements[^1];
        return Made(
            project,
            new TouchEdge
            {
                ElementId = top.Id,
                X = top.Box.X + 10,
                Y = top.Box.Y,
                IsCovered = true,
            }
        );
    }

    private static Project OfLetters(WordsUse use)
    {
        var project = Made(
            Bare,
            new AddWords
            {
                Text = "Åsa\nÖl &",
                FontId = FontShelf.UsualId,
                Width = 90,
                ClothId = "shed",
                Use = use,
            }
        );
        var id = project.Elements[^1].Id;
        project = Made(project, new SetText { ElementId = id, Text = "Åsa\nÖl & 12" });
        return Made(
            project,
            new TouchLetter
            {
                ElementId = id,
                Index = 1,
                Y = 0.1,
                Turn = 8,
            }
        );
    }

    /// <summary>The project after an edit; as it was where a method has no such cover.</summary>
    private static Project Made(Project project, Edit edit)
    {
        var made = edit.Apply(project, DemoWork.Context);
        return made.IsOk ? made.Value : project;
    }

    private static string Named(Enum value) => char.ToLowerInvariant($"{value}"[0]) + $"{value}"[1..];
}
