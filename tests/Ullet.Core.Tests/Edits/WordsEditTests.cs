using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits;

public sealed class WordsEditTests
{
    [Theory]
    [InlineData("Rowan")]
    [InlineData("go")]
    [InlineData("AB\nc")]
    public void AddWords_AtAWidth_MeetsItExactly(string text)
    {
        var project = With(
            new AddWords
            {
                Text = text,
                FontId = "block",
                Width = 98.4,
            }
        );
        Assert.Equal(98.4, Bounds(project).Width, 1e-6);
        Assert.Equal(0, Bounds(project).Centre.X, 1e-6);
        Assert.Equal(0, Bounds(project).Centre.Y, 1e-6);
    }

    [Fact]
    public void AddWords_AtACapHeight_MeetsIt()
    {
        var project = With(
            new AddWords
            {
                Text = "A",
                FontId = "block",
                CapHeight = 60,
            }
        );
        Assert.Equal(60, Bounds(project).Height, 1e-6);
        Assert.Equal(500.0 / 700 * 60, Bounds(project).Width, 1e-6);
    }

    [Fact]
    public void AddWords_IntoAGap_EndsWithItsCoverAtTheGapsEnds()
    {
        var project = With(
            new AddWords
            {
                Text = "Ab",
                FontId = "block",
                FitWidth = 70,
            }
        );
        var stitched = SampleProject.Evaluate(project).StitchedBounds("e1");
        Assert.Equal(70, stitched.Width, 0.15);
    }

    [Fact]
    public void AddWords_WithoutASize_FitsTheField()
    {
        var project = With(new AddWords { Text = "Marrow Lane Allotments", FontId = "block" });
        Assert.True(Bounds(project).Width <= 130 * 0.8 + 1e-6);
    }

    [Fact]
    public void SetText_KeepsTheCapHeight_TheBaselineAndTheMiddle()
    {
        var project = With(
            new AddWords
            {
                Text = "Ab",
                FontId = "block",
                CapHeight = 70,
            }
        );
        var baseline = Bounds(project).MaxY;
        project = SampleProject.Apply(project, new SetText { ElementId = "e1", Text = "Abgo" });
        // "g" hangs 20 mm under the baseline at this size.
        Assert.Equal(baseline + 20, Bounds(project).MaxY, 1e-6);
        Assert.Equal(90, Bounds(project).Height, 1e-6);
        Assert.Equal("Abgo", project.Elements[0].Name);
    }

    [Theory]
    [InlineData(TextAlign.Left)]
    [InlineData(TextAlign.Right)]
    public void SetText_KeepsTheAlignedEdge_AlsoWhenTurned(TextAlign align)
    {
        var project = SampleProject.Apply(
            With(
                new AddWords
                {
                    Text = "Ab",
                    FontId = "block",
                    CapHeight = 30,
                }
            ),
            new SetLettering { ElementId = "e1", Align = align },
            new PlaceElement { ElementId = "e1", Rotation = 90 }
        );
        var before = Bounds(project);
        project = SampleProject.Apply(project, new SetText { ElementId = "e1", Text = "Abcd" });
        // Turned by 90°, left is up and right is down.
        Assert.Equal(
            align == TextAlign.Left ? before.MinY : before.MaxY,
            align == TextAlign.Left ? Bounds(project).MinY : Bounds(project).MaxY,
            1e-6
        );
    }

    [Fact]
    public void SetText_OfWordsSizedByTheirBox_KeepsTheBox()
    {
        var project = SampleProject.Apply(
            With(
                new AddWords
                {
                    Text = "Ab",
                    FontId = "block",
                    Width = 80,
                }
            ),
            new SetLettering { ElementId = "e1", Sizing = LetterSizing.Box }
        );
        var before = project.Elements[0].Box;
        project = SampleProject.Apply(project, new SetText { ElementId = "e1", Text = "Allotment" });
        Assert.Equal(before, project.Elements[0].Box);
        Assert.Equal(before.Width, Bounds(project).Width, 1e-6);
    }

    [Fact]
    public void TouchLetter_InMm_SurvivesRetypingAndResizing()
    {
        var project = SampleProject.Apply(
            With(
                new AddWords
                {
                    Text = "Rowan",
                    FontId = "block",
                    CapHeight = 50,
                }
            ),
            new TouchLetter
            {
                ElementId = "e1",
                Index = 2,
                Y = 5,
            },
            new SetText { ElementId = "e1", Text = "Rowena" }
        );
        var touch = Assert.Single(project.Elements[0].Words().Touches);
        Assert.Equal(2, touch.Index);
        Assert.Equal(0.1, touch.Y, 1e-9);
        project = SampleProject.Apply(project, new SetLettering { ElementId = "e1", CapHeight = 100 });
        Assert.Equal(0.1, project.Elements[0].Words().Touches[0].Y, 1e-9);
    }

    [Fact]
    public void TouchLetter_ByADistance_AddsUp()
    {
        var project = SampleProject.Apply(
            With(
                new AddWords
                {
                    Text = "ab",
                    FontId = "block",
                    CapHeight = 50,
                }
            ),
            new TouchLetter
            {
                ElementId = "e1",
                Index = 0,
                ByX = 2,
                ByY = -1,
            },
            new TouchLetter
            {
                ElementId = "e1",
                Index = 0,
                ByX = 3,
            }
        );
        var touch = Assert.Single(project.Elements[0].Words().Touches);
        Assert.Equal((0.1, -0.02), (Math.Round(touch.X, 9), Math.Round(touch.Y, 9)));
    }

    [Fact]
    public void TouchLetter_GapAndAllAfter_SetsEveryGapToTheLinesEnd()
    {
        var project = SampleProject.Apply(
            With(
                new AddWords
                {
                    Text = "abcd\nef",
                    FontId = "block",
                    CapHeight = 50,
                }
            ),
            new TouchLetter
            {
                ElementId = "e1",
                Index = 1,
                GapAfter = 5,
                AndAllAfter = true,
            }
        );
        Assert.Equal([1, 2, 3], project.Elements[0].Words().Touches.Select(touch => touch.Index));
        project = SampleProject.Apply(
            project,
            new TouchLetter
            {
                ElementId = "e1",
                Index = 2,
                Reset = true,
            }
        );
        Assert.Equal([1, 3], project.Elements[0].Words().Touches.Select(touch => touch.Index));
    }

    [Fact]
    public void TouchLetter_LeavesTheOtherLettersWhereTheyAre()
    {
        var project = With(
            new AddWords
            {
                Text = "abc",
                FontId = "block",
                CapHeight = 50,
            }
        );
        var before = Letters(project);
        var after = Letters(
            SampleProject.Apply(
                project,
                new TouchLetter
                {
                    ElementId = "e1",
                    Index = 0,
                    X = -9,
                    Y = 30,
                }
            )
        );
        Assert.Equal(before[1].MinX, after[1].MinX, 1e-6);
        Assert.Equal(before[2].MaxY, after[2].MaxY, 1e-6);
        Assert.Equal(before[0].MinX - 9, after[0].MinX, 1e-6);
        Assert.Equal(before[0].MinY + 30, after[0].MinY, 1e-6);
    }

    public static TheoryData<string, Edit, string> Refusals =>
        new()
        {
            {
                "no words",
                new SetText { ElementId = "e1", Text = " \n " },
                "text-empty"
            },
            {
                "ten thousand",
                new SetText { ElementId = "e1", Text = new string('a', 10_000) },
                "text-too-long"
            },
            {
                "thirteen lines",
                new SetText { ElementId = "e1", Text = string.Join('\n', new string('a', 13).ToCharArray()) },
                "text-too-long"
            },
            {
                "only a bell",
                new SetText { ElementId = "e1", Text = "\u0007" },
                "text-empty"
            },
            {
                "an accent it lacks",
                new SetText { ElementId = "e1", Text = "Café" },
                "characters-missing"
            },
            {
                "a carrot",
                new SetText { ElementId = "e1", Text = "🥕" },
                "characters-missing"
            },
            {
                "a font that is not there",
                new SetLettering { ElementId = "e1", FontId = "gone" },
                "font-unknown"
            },
            {
                "a slant too far",
                new SetLettering { ElementId = "e1", Slant = 80 },
                "number-out-of-range"
            },
            {
                "no number for an arc",
                new SetLettering { ElementId = "e1", Arc = double.NaN },
                "number-out-of-range"
            },
            {
                "huge letters",
                new SetLettering { ElementId = "e1", CapHeight = 4000 },
                "number-out-of-range"
            },
            {
                "a thread that is not there",
                new SetLettering
                {
                    ElementId = "e1",
                    Line = new LineSettings { ThreadId = "gold" },
                },
                "thread-unknown"
            },
            {
                "a letter beyond the end",
                new TouchLetter
                {
                    ElementId = "e1",
                    Index = 9,
                    X = 1,
                },
                "letter-unknown"
            },
            {
                "a letter before the start",
                new TouchLetter
                {
                    ElementId = "e1",
                    Index = -1,
                    X = 1,
                },
                "letter-unknown"
            },
            {
                "a letter of no size",
                new TouchLetter
                {
                    ElementId = "e1",
                    Index = 0,
                    Scale = 0,
                },
                "number-out-of-range"
            },
            {
                "text of a piece",
                new SetText { ElementId = "e2", Text = "a" },
                "element-unknown"
            },
        };

    [Theory]
    [MemberData(nameof(Refusals))]
    public void Edits_OfWhatCantBeSet_Refuse(string _, Edit edit, string code)
    {
        var project = SampleProject.Apply(
            With(new AddWords { Text = "Ab", FontId = "block" }),
            SampleProject.Add(new HeartShape())
        );
        Assert.Equal(code, SampleProject.Refused(project, edit).Code);
    }

    [Fact]
    public void Refusal_OfMissingCharacters_NamesThem()
    {
        var refusal = SampleProject.Refused(SampleProject.Empty(), new AddWords { Text = "Café 🥕", FontId = "block" });
        Assert.Contains("“é”", refusal.Words, StringComparison.Ordinal);
        Assert.Contains("“🥕”", refusal.Words, StringComparison.Ordinal);
        Assert.Contains("Block", refusal.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void Uses_GiveStopsForEachLetter_ForOnePiece_AndNoneForAnOutline()
    {
        var project = With(
            new AddWords
            {
                Text = "abo",
                FontId = "block",
                CapHeight = 40,
                Method = Method.CutBeforehand,
            }
        );
        int Stops(WordsUse use) =>
            SampleProject
                .Evaluate(SampleProject.Apply(project, new SetLettering { ElementId = "e1", Use = use }))
                .Program.StopCount;
        Assert.Equal(3, Stops(WordsUse.OneByOne) - Stops(WordsUse.StitchedOutline));
        Assert.Equal(1, Stops(WordsUse.OnePiece) - Stops(WordsUse.StitchedOutline));
    }

    [Fact]
    public void OneByOne_CutsALetterEach_WithItsCounter()
    {
        var project = With(
            new AddWords
            {
                Text = "ao",
                FontId = "block",
                CapHeight = 40,
                Method = Method.CutBeforehand,
            }
        );
        var shapes = SampleProject.Evaluate(project).Sheets.Single().Shapes;
        Assert.Equal(["ao, a", "ao, o"], shapes.Select(shape => shape.Shape.Name));
        Assert.Single(shapes[1].Shape.Outline.Parts[0].Holes);
    }

    [Fact]
    public void ChangingOneLetter_LeavesTheStitchesOfTheOthers()
    {
        var project = With(
            new AddWords
            {
                Text = "abc",
                FontId = "block",
                CapHeight = 40,
            }
        );
        var cache = new Core.Pipeline.StationCache();
        var evaluator = new Core.Evaluation.Evaluator(cache, new BlockFonts());
        evaluator.Evaluate(project);
        var whole = cache.Computed;
        evaluator.Evaluate(
            SampleProject.Apply(
                project,
                new TouchLetter
                {
                    ElementId = "e1",
                    Index = 0,
                    Y = 4,
                }
            )
        );
        var one = cache.Computed - whole;
        Assert.True(one * 2 < whole, $"{one} of {whole} stations");
    }

    private static Project With(AddWords words) => SampleProject.Apply(SampleProject.Empty(), words);

    private static Box Bounds(Project project) =>
        SampleProject.Context.Evaluator.OutlineOf(project.Elements[0]).Bounds();

    private static List<Box> Letters(Project project) =>
        [.. SampleProject.Context.Evaluator.LettersOf(project.Elements[0]).Select(letter => letter.Outline.Bounds())];
}
