using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Fonts;
using Ullet.Server.Documents;

namespace Ullet.Bench;

/// <summary>Thirty letters carved by one bar that moves, against the bare geometry of the same: outlines flattened, the bar
/// grown once, thirty differences.</summary>
internal static class CarveBench
{
    private const int Letters = 30;
    private const double Bound = 3;

    internal static IReadOnlyList<Ratio> Run()
    {
        var context = new EditContext(new Evaluator(new StationCache(), new FontShelf()));
        var project = Carved(context);
        var evaluator = new Evaluator(new StationCache(), new FontShelf());
        var bar = project.Elements[0];
        Project Moved(int i) => project.With(bar with { Box = bar.Box with { Y = bar.Box.Y + (0.01 * (i + 1)) } });
        void Answer(int i)
        {
            var moved = Moved(i);
            foreach (var letter in moved.Elements.Skip(1))
            {
                evaluator.Shape(moved, letter);
            }
        }
        void Bare(int i)
        {
            var moved = Moved(i);
            var without = RegionOffset.By(evaluator.OutlineOf(moved.Elements[0]).Flatten(), 4.8);
            foreach (var letter in moved.Elements.Skip(1))
            {
                RegionOverlay.Difference(evaluator.OutlineOf(letter).Flatten(), without);
            }
        }
        // Both are run first until their code is compiled for good.
        for (var i = 0; i < 20; i++)
        {
            Answer(-100 - i);
            Bare(-100 - i);
        }
        var (answer, bare) = (Measured.Median(15, Answer), Measured.Median(15, i => Bare(i + 1000)));
        return [new Ratio($"{Letters} letters carved anew when their carver moves", answer, Bound * bare)];
    }

    private static Project Carved(EditContext context)
    {
        var project = BlankProject.Make("Bench", 240, 360).Value;
        Apply(new AddPiece { Shape = new RectangleShape(), Box = new ElementBox(0, 0, 300, 6, 0) });
        var bar = project.Elements[0].Id;
        for (var i = 0; i < Letters; i++)
        {
            Apply(
                new AddWords
                {
                    Text = ((char)('A' + (i % 26))).ToString(),
                    FontId = "titan-one",
                    CapHeight = 40,
                    X = (i % 10 * 30) - 140,
                    Y = (i / 10 * 4) - 4,
                    Use = WordsUse.OnePiece,
                }
            );
            Apply(
                new AddOperation
                {
                    ElementId = project.Elements[^1].Id,
                    Operation = new Carve { SourceIds = [bar] },
                }
            );
        }
        return project;

        void Apply(Edit edit) => project = edit.Apply(project, context).Value;
    }
}
