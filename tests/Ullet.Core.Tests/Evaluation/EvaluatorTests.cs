using System.Text;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Evaluation;

public sealed class EvaluatorTests
{
    [Fact]
    public void Evaluate_AgainWithoutAChange_ComputesNothing()
    {
        var cache = new StationCache();
        var evaluator = new Evaluator(cache);
        var project = TenPieces();
        evaluator.Evaluate(project);
        var before = cache.Computed;
        evaluator.Evaluate(project);
        Assert.Equal(before, cache.Computed);
    }

    [Fact]
    public void Evaluate_AfterOnePieceMoved_ComputesThatPieceOnly()
    {
        var cache = new StationCache();
        var evaluator = new Evaluator(cache);
        var project = TenPieces();
        evaluator.Evaluate(project);
        var before = cache.Computed;
        var moved = new MoveElements
        {
            ElementIds = ["e4"],
            X = 2,
            Y = 1,
        };
        evaluator.Evaluate(SampleProject.Apply(project, moved));
        // Outline, edge as sewn, cut shape, two areas of cloth, three stages, what was measured on the cover and on the tack-down, and the program.
        Assert.Equal(11, cache.Computed - before);
    }

    [Fact]
    public void Evaluated_ForARequestThatEndedSince_IsReadByOthers()
    {
        using var request = new CancellationTokenSource();
        var evaluated = new Evaluator(new StationCache()).Evaluate(TenPieces(), request.Token);
        request.Cancel();
        Assert.All(evaluated.Pieces, piece => Assert.NotNull(piece.Offset(1.2345, true)));
    }

    [Fact]
    public void Evaluate_FromACache_IsTheSameAsMadeAnew_ForEveryStation()
    {
        var shared = new Evaluator(new StationCache(), new BlockFonts());
        for (var seed = 0; seed < 16; seed++)
        {
            var random = new Random(seed);
            var project = TenPieces();
            foreach (var change in Enumerable.Range(0, 6).Select(_ => SeededEdit(random)))
            {
                var changed = change.Apply(project, SampleProject.Context);
                project = changed.IsOk ? changed.Value : project;
                shared.Evaluate(project);
            }
            Assert.Equal(
                Told(new Evaluator(new StationCache(), new BlockFonts()).Evaluate(project)),
                Told(shared.Evaluate(project))
            );
        }
    }

    /// <summary>A change of what some station's key has to tell apart.</summary>
    private static Edit SeededEdit(Random random)
    {
        var id = $"e{random.Next(1, 11)}";
        return random.Next(9) switch
        {
            0 => new MoveElements
            {
                ElementIds = [id],
                X = random.Next(-9, 10),
                Y = random.Next(-9, 10),
            },
            1 => new PlaceElement { ElementId = id, Width = random.Next(12, 40) },
            2 => new SetMethod { ElementId = id, Method = (Method)random.Next(6) },
            3 => new SetCover
            {
                ElementId = id,
                Cover = new CoverSettings { Width = 2 + (random.Next(20) / 10.0) },
            },
            4 => new SetRun
            {
                ElementId = id,
                Stage = StageId.TackDown,
                Run = new RunSettings { Inset = random.Next(3, 12) / 10.0 },
            },
            5 => new RestackElement { ElementId = id, Place = random.Next(10) },
            6 => new SetMaking { ElementId = id, Kind = random.Next(2) == 0 ? "line" : "cloth" },
            7 => new RemoveElements { ElementIds = [id] },
            _ => new SetOrder { Order = (StitchOrder)random.Next(2) },
        };
    }

    /// <summary>All that stations made, as text: needle points with their stops, cut shapes, findings, run sheet.</summary>
    private static string Told(Evaluated evaluated)
    {
        var text = new StringBuilder();
        foreach (var hooping in evaluated.Hoopings)
        {
            foreach (var step in hooping.Program.Steps)
            {
                text.Append(step.Key).Append(' ').Append(step.GetType().Name);
                if (step is ProgramStitches sewn)
                {
                    text.AppendJoin(
                            ' ',
                            sewn.Commands.Select(command => $"{command.Kind}{command.At.X:R},{command.At.Y:R}")
                        )
                        .Append(sewn.StopAfter);
                }
                text.AppendLine();
            }
        }
        foreach (var shape in evaluated.Sheets.SelectMany(sheet => sheet.Shapes))
        {
            text.AppendLine($"{shape.Shape.ElementId} {shape.Shape.Outline.Bounds()}");
        }
        foreach (var finding in evaluated.Findings)
        {
            text.AppendLine($"{finding.Code} {finding.ElementId} {finding.At} {finding.Words}");
        }
        return text.ToString();
    }

    [Fact]
    public void Cache_OverItsBytes_LetsTheLongestUnusedGo()
    {
        var cache = new StationCache(4_500_000);
        var station = new Doubling();
        for (var i = 0; i < 4; i++)
        {
            cache.Get(station, i);
        }
        cache.Get(station, 0);
        cache.Get(station, 9);
        var before = cache.Computed;
        cache.Get(station, 0);
        Assert.Equal(before, cache.Computed);
        cache.Get(station, 1);
        Assert.Equal(before + 1, cache.Computed);
        Assert.InRange(cache.Bytes, 1_000_000, 4_500_000);
    }

    [Fact]
    public void Summary_TellsWhatStandsWhere()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape(), 60, 50),
            new MoveElements
            {
                ElementIds = ["e1"],
                X = 12,
                Y = -8,
            }
        );
        var words = DrawingSummary.Of(SampleProject.Evaluate(project));
        Assert.Contains(
            "Heart: beet cotton, 60 by 50 mm, 12 mm right of and 8 mm above the middle",
            words,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Summary_TellsOfWordsLinesAndTheirState()
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            new AddWords
            {
                Text = "Bed\n4",
                FontId = "block",
                CapHeight = 20,
                Method = Method.CutBeforehand,
            },
            new AddWords
            {
                Text = "Row",
                FontId = "block",
                CapHeight = 10,
                Y = 60,
                Use = WordsUse.StitchedOutline,
            },
            new LockElements { ElementIds = ["e1"], Locked = true },
            new HideElements { ElementIds = ["e2"], Hidden = true }
        );
        var words = DrawingSummary.Of(SampleProject.Evaluate(project));
        Assert.Contains(
            "2 elements, from the bottom of the stack. Bed 4: the words “Bed 4” in beet cotton",
            words,
            StringComparison.Ordinal
        );
        Assert.Contains("in the middle, cut beforehand, letter by letter, locked.", words, StringComparison.Ordinal);
        Assert.Contains(
            "60 mm below the middle, stitched along its edges, hidden on the wall.",
            words,
            StringComparison.Ordinal
        );
    }

    private static Project TenPieces()
    {
        var project = SampleProject.Empty();
        for (var i = 0; i < 10; i++)
        {
            project = SampleProject.Apply(
                project,
                SampleProject.Add(new LeafShape(), 14, 20) with
                {
                    Box = new ElementBox((i % 5 * 24) - 48, (i / 5 * 40) - 20, 14, 20, i * 7),
                }
            );
        }
        return project;
    }

    private sealed class Doubling : IStation<int, object>
    {
        public int Version => 1;

        public ContentHash Key(int input) => ContentHash.Of(input, "double");

        public object Compute(int input, CancellationToken cancellation) => input * 2;

        public long Bytes(object output) => 1_000_000;
    }
}
