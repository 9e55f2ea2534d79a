using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Fonts;
using Ullet.Server.Documents;

namespace Ullet.Bench;

/// <summary>Recolouring all of 300 elements, against recolouring one of them in the same project.</summary>
internal static class ManyBench
{
    private const int Count = 300;

    private const double Bound = 1.5;

    private static readonly ShapeSource[] Shapes =
    [
        new HeartShape(),
        new LeafShape(),
        new StarShape(),
        new EllipseShape(),
    ];

    internal static IReadOnlyList<Ratio> Run()
    {
        var context = new EditContext(new Evaluator(new StationCache(), new FontShelf()));
        var project = Filled(context);
        context.Evaluator.Evaluate(project);
        string[] ids = [.. project.Elements.Select(element => element.Id)];
        return [Ratio("thread", ["slate", "ink"]), Ratio("cloth", ["pond", "hay"])];

        Ratio Ratio(string trait, string[] words)
        {
            void Recolour(string[] chosen, int i) =>
                context.Evaluator.Evaluate(
                    new SetTrait
                    {
                        ElementIds = [.. chosen],
                        Trait = trait,
                        Word = words[i % words.Length],
                    }
                        .Apply(project, context)
                        .Value
                );
            Recolour(ids, 0);
            Recolour(ids, 1);
            var one = Measured.Median(5, i => Recolour([ids[(i + Count) % Count]], i + Count));
            var all = Measured.Median(5, i => Recolour(ids, i + Count));
            return new Ratio($"another {trait} for {Count} elements, against one of them", all, Bound * one);
        }
    }

    private static Project Filled(EditContext context)
    {
        var project = BlankProject.Make("Many", 360, 360).Value;
        for (var i = 0; i < Count; i++)
        {
            project = new AddPiece
            {
                Shape = Shapes[i % Shapes.Length],
                Box = new ElementBox(-160 + (i % 18 * 19), -160 + (i / 18 * 19), 14, 14, 0),
                ClothId = "clay",
            }
                .Apply(project, context)
                .Value;
        }
        return project;
    }
}
