using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Patterns;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits;

/// <summary>Edits that can't be made, by the code that they are refused with: the code is what other programs go by.</summary>
public sealed class RefusalCodesTests
{
    private static readonly Project Heart = SampleProject.With(new HeartShape());

    private static readonly (string Code, Project Project, Edit Edit)[] All =
    [
        ("nothing-to-match", Heart, new MatchSize { ElementIds = ["e1"], KeyElementId = "e1" }),
        (
            "passes-odd",
            Heart,
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { Passes = 4 },
            }
        ),
        (
            "stage-wrong",
            Heart,
            new SetRun
            {
                ElementId = "e1",
                Stage = StageId.Cover,
                Run = new RunSettings(),
            }
        ),
        (
            "stretches-too-many",
            Heart,
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings
                {
                    Stretches = [.. Enumerable.Range(0, 5000).Select(i => new CoverStretch(new Spot(i * 1e-4, 0)))],
                },
            }
        ),
        (
            "text-broken",
            Heart,
            new SetHandStep { Hand = new UserHandStep("", HandKind.FreeText, new string('a', 2000)) }
        ),
        (
            "trim-upside-down",
            Heart,
            new SetTolerances
            {
                ClothId = "beet",
                Tolerances = new EdgeTolerances { TrimLeast = 3, TrimMost = 1 },
            }
        ),
        ("element-of-pattern", PatternSamples.Make("mug-rug"), new SetMaking { ElementId = "p-words", Kind = "zone" }),
        (
            "fill-in-unknown",
            PatternSamples.Make("mug-rug"),
            new UsePattern { PatternId = "mug-rug", FillIns = [new PatternText("colour", "red")] }
        ),
        (
            "gap-too-long",
            PatternSamples.Make("mug-rug"),
            new UsePattern
            {
                PatternId = "mug-rug",
                Choices = [new PatternPick("outline", "hexagon")],
                Numbers =
                [
                    new PatternNumber("width", 120),
                    new PatternNumber("gap", 75),
                    new PatternNumber("radius", 30),
                ],
            }
        ),
        (
            "drawing-long",
            Heart,
            new DrawFreehand
            {
                Points = [.. Enumerable.Range(0, 500).SelectMany(i => new[] { i % 2 == 0 ? -190 : 190, i * 0.1 })],
            }
        ),
    ];

    public static TheoryData<string> Codes => [.. All.Select(each => each.Code)];

    [Theory]
    [MemberData(nameof(Codes))]
    public void AnEdit_ThatCantBeMade_IsRefusedWithItsCode_AndASentence(string code)
    {
        var (_, project, edit) = All.Single(each => each.Code == code);
        var refusal = SampleProject.Refused(project, edit);
        Assert.Equal(code, refusal.Code);
        Assert.True(refusal.Words.Length > 20 && refusal.Words.EndsWith('.'), refusal.Words);
        Assert.NotEmpty(refusal.Place);
    }

    [Fact]
    public void AUnit_AThread_AndTheWholeDesign_AreChanged()
    {
        var inch = SampleProject.Apply(Heart, new SetUnit { Unit = LengthUnit.Inch });
        Assert.Equal(LengthUnit.Inch, inch.Unit);
        var thread = Heart.Threads[0] with { Name = "heather 402", Colour = "#8a6f9e" };
        Assert.Contains(thread, SampleProject.Apply(Heart, new ChangeThread { Thread = thread }).Threads);
        var moved = SampleProject.Apply(Heart, new MoveDesign { X = 5, Y = -3 });
        Assert.Equal(
            (Heart.Elements[0].Box.X + 5, Heart.Elements[0].Box.Y - 3),
            (moved.Elements[0].Box.X, moved.Elements[0].Box.Y)
        );
    }
}
