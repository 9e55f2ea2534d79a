using System.Globalization;
using System.Text;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Program;
using Ullet.Files.StitchFiles;
using Ullet.Files.StitchLists;

namespace Ullet.Files.Tests.StitchLists;

public sealed class StitchListTests
{
    public static TheoryData<string> Titles => DemoWork.Titles;

    [Theory]
    [InlineData("Plot\u202814")]
    [InlineData("Plot\u2029\u0085\u000b\f14")]
    [InlineData("\u202eback\ttabbed\u0007")]
    [InlineData("a \"quoted\" back\\slash\nand a line")]
    [InlineData("Zoë 🥕")]
    public void Texts_WithWhatEndsLinesElsewhere_ComeBackAsTheyWere(string text)
    {
        var program = DemoWork.Patch.Program with { Title = text, Cautions = [text] };
        var file = StitchListWriter.Write(program);
        var read = StitchListReader.Read(file).Value;
        Assert.Equal((text, text), (read.Title, read.Cautions[0]));
        Assert.DoesNotContain(Encoding.UTF8.GetString(file), c => char.IsControl(c) && c != '\n');
    }

    [Theory]
    [MemberData(nameof(Titles))]
    public void Read_OfWhatWasWritten_GivesTheSameProgram(string title)
    {
        var program = DemoWork.All[title].Program;
        var read = StitchListReader.Read(StitchFormats.Make(StitchFormats.List, program)).Value;
        Assert.Equal(program.Title, read.Title);
        Assert.Equal(program.Threads, read.Threads);
        Assert.Equal((program.FieldWidth, program.FieldHeight), (read.FieldWidth, read.FieldHeight));
        Assert.Equal((program.StitchCount, program.StopCount), (read.StitchCount, read.StopCount));
        foreach (var (written, found) in program.Steps.Zip(read.Steps))
        {
            Assert.Equal((written.Key, written.OwnerName), (found.Key, found.OwnerName));
            if (written is ProgramStitches sewn)
            {
                var again = Assert.IsType<ProgramStitches>(found);
                Assert.Equal((sewn.Thread, sewn.Block, sewn.StopAfter), (again.Thread, again.Block, again.StopAfter));
                Assert.Equal(sewn.Commands.Select(c => c.Kind), again.Commands.Select(c => c.Kind));
                Assert.All(
                    sewn.Commands.Zip(again.Commands).Where(pair => pair.First.Kind != NeedleKind.Trim),
                    pair => Assert.True(pair.First.At.DistanceTo(pair.Second.At) < 0.001)
                );
            }
            else if (written is ProgramHands hands)
            {
                var again = Assert.IsType<ProgramHands>(found);
                Assert.Equal((hands.Kind, hands.Text, hands.Warning), (again.Kind, again.Text, again.Warning));
                foreach (var (a, b) in hands.Changes.Zip(again.Changes))
                {
                    Assert.Equal(AreaOf(a), AreaOf(b), AreaOf(a) * 0.003);
                }
            }
        }
    }

    [Fact]
    public void Text_WithQuotationMarksAndBackslashes_ComesBack()
    {
        var evaluated = DemoWork.With(
            DemoWork.Patch.Project,
            new RenameProject { Title = "The \"14\" \\ patch, Ångström's" }
        );
        var noted = DemoWork.With(evaluated.Project, new NoteStep { StepKey = "e1.lay.0", Note = "say \"when\" \\o/" });
        var read = StitchListReader.Read(StitchFormats.Make(StitchFormats.List, noted.Program)).Value;
        Assert.Equal("The \"14\" \\ patch, Ångström's", read.Title);
        Assert.Contains(read.Steps.OfType<ProgramHands>(), step => step.Note == "say \"when\" \\o/");
    }

    /// <summary>A reader by the format's page alone: stops stand where hands come next, also with one thread.</summary>
    [Fact]
    public void File_HasAStopLineBeforeEveryHandStep_AlsoWithOneThread()
    {
        var project = DemoWork.Patch.Project with { Threads = [DemoWork.Patch.Project.Threads[0] with { Id = "one" }] };
        project = project with { Hooping = project.Hooping with { LineThreadId = "one", CoverThreadId = "one" } };
        var lines = Lines(DemoWork.Context.Evaluator.Evaluate(project).Program);
        Assert.Single(lines, line => line.StartsWith("thread ", StringComparison.Ordinal));
        var steps = 0;
        for (var i = 0; i < lines.Count; i++)
        {
            if (!lines[i].StartsWith("step ", StringComparison.Ordinal))
            {
                continue;
            }
            steps++;
            var afterStitches =
                i > 0 && lines[i - 1] is "stop" or "t" || lines[i - 1].StartsWith("s ", StringComparison.Ordinal);
            if (lines[i].Contains(" hand ", StringComparison.Ordinal) && afterStitches)
            {
                Assert.Equal("stop", lines[i - 1]);
            }
            else if (afterStitches)
            {
                Assert.NotEqual("stop", lines[i - 1]);
            }
        }
        Assert.Equal(20, steps);
    }

    [Fact]
    public void FoldsRemovalsChecksAndCautions_ComeBack()
    {
        var pouch = DemoWork.All["Seed-packet pouch"];
        var program = pouch.Program with { Cautions = ["The name would be sewn through the \"lining\"."] };
        var hands = program.Steps.OfType<ProgramHands>().First();
        program = program with
        {
            Steps = program.Steps.Replace(
                hands,
                hands with
                {
                    Changes = hands.Changes.Add(new LayerRemoved("p-zip")).Add(new WorkCutOut([Square(40)])),
                }
            ),
        };
        var read = StitchListReader.Read(StitchFormats.Make(StitchFormats.List, program)).Value;
        Assert.Equal(program.Cautions, read.Cautions);
        foreach (var (written, found) in program.Steps.Zip(read.Steps))
        {
            if (written is ProgramStitches sewn)
            {
                // What needle points are for comes back with them; a jump is the way, a trim an end.
                var roles = ((ProgramStitches)found).Roles;
                Assert.Equal(sewn.Commands.Length, roles.Length);
                Assert.All(
                    Enumerable.Range(0, roles.Length).Where(i => sewn.Commands[i].Kind == NeedleKind.Stitch),
                    i => Assert.Equal(sewn.Roles[i], roles[i])
                );
            }
            if (written is ProgramHands asked)
            {
                Assert.Equal(
                    asked.Changes.OfType<WorkCutOut>().Select(cut => cut.Area.Length),
                    ((ProgramHands)found).Changes.OfType<WorkCutOut>().Select(cut => cut.Area.Length)
                );
                var again = Assert.IsType<ProgramHands>(found);
                Assert.Equal((asked.Check, asked.HoopOff), (again.Check, again.HoopOff));
                Assert.Equal(
                    asked.Changes.Select(change => change.GetType()),
                    again.Changes.Select(change => change.GetType())
                );
                Assert.Equal(
                    asked.Changes.OfType<LayerLaid>().Select(laid => (laid.Role, laid.IsBeneath)),
                    again.Changes.OfType<LayerLaid>().Select(laid => (laid.Role, laid.IsBeneath))
                );
                Assert.Equal(asked.Changes.OfType<LayerParted>().Count(), again.Changes.OfType<LayerParted>().Count());
                Assert.Equal(
                    asked.Changes.OfType<LayerFolded>().Select(fold => (fold.LayerId, fold.FaceUp)),
                    again.Changes.OfType<LayerFolded>().Select(fold => (fold.LayerId, fold.FaceUp))
                );
            }
        }
        Assert.Equal(
            2,
            read.Steps.OfType<ProgramHands>().SelectMany(step => step.Changes).OfType<LayerFolded>().Count()
        );
    }

    private static Region Square(double side) =>
        new(
            Ring.Of([
                new(-side / 2, -side / 2),
                new(side / 2, -side / 2),
                new(side / 2, side / 2),
                new(-side / 2, side / 2),
            ]),
            []
        );

    [Fact]
    public void Read_OfAFileOfVersion1_StillWorks()
    {
        var program = StitchListReader.Read(
            Encoding.UTF8.GetBytes(Replaced("ullet-stitch-list 3", "ullet-stitch-list 1"))
        );
        Assert.Equal(DemoWork.Patch.Program.StitchCount, program.Value.StitchCount);
    }

    public static TheoryData<string, string, string> Broken =>
        new()
        {
            { "another format", Replaced("ullet-stitch-list 3", "G21 G90"), "stitch-list-foreign" },
            { "a newer version", Replaced("ullet-stitch-list 3", "ullet-stitch-list 7"), "stitch-list-newer" },
            { "version nought", Replaced("ullet-stitch-list 3", "ullet-stitch-list 0"), "stitch-list-broken" },
            { "a version below nought", Replaced("ullet-stitch-list 3", "ullet-stitch-list -3"), "stitch-list-broken" },
            { "a word after stop", Replaced("\nstop\n", "\nstop here\n"), "stitch-list-broken" },
            { "three numbers in a place", Replaced("area ", "area 1,2,3 "), "stitch-list-broken" },
            { "inches", Replaced("units mm", "units inch"), "stitch-list-broken" },
            { "no field", Replaced("field 130 180", "field 0 180"), "stitch-list-broken" },
            { "a thread that is not there", Replaced("thread 1 block 1", "thread 9 block 1"), "stitch-list-broken" },
            { "a place that is none", Replaced("\ns ", "\ns x"), "stitch-list-broken" },
            { "no number", Replaced("\ns ", "\ns NaN "), "stitch-list-broken" },
            { "a step missing", Replaced("step 2 ", "step 3 "), "stitch-list-broken" },
            { "an open quotation", Replaced("text \"Hoop", "text Hoop\" \""), "stitch-list-broken" },
            { "a wrong count", Replaced("end steps 20", "end steps 19"), "stitch-list-broken" },
            { "cut off", Whole()[..(Whole().Length / 2)], "stitch-list-broken" },
            { "nothing", "", "stitch-list-foreign" },
            { "something after the end", Whole() + "s 1 1\n", "stitch-list-broken" },
        };

    [Theory]
    [MemberData(nameof(Broken))]
    public void Read_OfABrokenFile_RefusesWithTheLine(string what, string text, string code)
    {
        var refusal = StitchListReader.Read(Encoding.UTF8.GetBytes(text)).Refusal;
        Assert.True(refusal?.Code == code, $"{what}: {refusal?.Code} {refusal?.Words}");
        Assert.StartsWith("line ", refusal!.Place, StringComparison.Ordinal);
        Assert.EndsWith(".", refusal.Words, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(5)]
    public void Read_OfAnyCutOrChangedFile_NeverThrows(int seed)
    {
        var whole = Encoding.UTF8.GetBytes(Whole());
        var random = new Random(seed);
        for (var i = 0; i < 150; i++)
        {
            var bytes = whole[..random.Next(1, 6000)];
            bytes[random.Next(bytes.Length)] = (byte)random.Next(256);
            Assert.False(StitchListReader.Read(bytes).IsOk, $"seed {seed}, case {i}");
        }
    }

    [Fact]
    public void Example_OfTheFormatsPage_CanBeRead()
    {
        var page = File.ReadAllText(Path.Combine(Repository.Root, "docs/formats/stitch-list.md"));
        var example = page[(page.LastIndexOf("```\nullet-stitch-list", StringComparison.Ordinal) + 4)..];
        example = example[..example.IndexOf("```", StringComparison.Ordinal)];
        var program = StitchListReader.Read(Encoding.UTF8.GetBytes(example)).Value;
        Assert.Equal("Seed tin label", program.Title);
        Assert.Equal((2, 11, 1), (program.Steps.Length, program.StitchCount, program.StopCount));
    }

    private static string Whole() =>
        Encoding.UTF8.GetString(StitchFormats.Make(StitchFormats.List, DemoWork.Patch.Program));

    private static string Replaced(string old, string by)
    {
        var whole = Whole();
        var at = whole.IndexOf(old, StringComparison.Ordinal);
        Assert.True(at >= 0, $"\"{old}\" is not in the file");
        return string.Create(CultureInfo.InvariantCulture, $"{whole[..at]}{by}{whole[(at + old.Length)..]}");
    }

    private static List<string> Lines(StitchProgram program) =>
        [
            .. Encoding
                .UTF8.GetString(StitchFormats.Make(StitchFormats.List, program))
                .Split('\n', StringSplitOptions.RemoveEmptyEntries),
        ];

    private static double AreaOf(LayerChange change) =>
        change switch
        {
            LayerLaid laid => laid.Area.Sum(region => region.Area),
            LayerTrimmed trimmed => trimmed.Area.Sum(region => region.Area),
            _ => 0,
        };
}
