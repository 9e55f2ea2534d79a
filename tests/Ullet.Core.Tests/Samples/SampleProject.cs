using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Samples;

/// <summary>Small documents for tests.</summary>
internal static class SampleProject
{
    internal static readonly EditContext Context = new(new Evaluator(new StationCache(), new BlockFonts()));

    internal static Project Empty(double fieldWidth = 130, double fieldHeight = 180) =>
        new()
        {
            Title = "Seed tin label",
            Cloths =
            [
                new Cloth
                {
                    Id = "ground",
                    Name = "oat linen",
                    Colour = "#e8dfcc",
                    Kind = ClothKind.Linen,
                },
                new Cloth
                {
                    Id = "stab",
                    Name = "tear-away",
                    Colour = "#ffffff",
                    Kind = ClothKind.Stabiliser,
                },
                new Cloth
                {
                    Id = "beet",
                    Name = "beet cotton",
                    Colour = "#8e2347",
                },
                new Cloth
                {
                    Id = "felt",
                    Name = "moss felt",
                    Colour = "#5d7a3a",
                    Kind = ClothKind.Felt,
                },
            ],
            Threads =
            [
                new MachineThread
                {
                    Id = "line",
                    Name = "slate",
                    Colour = "#445566",
                },
                new MachineThread
                {
                    Id = "cover",
                    Name = "plum",
                    Colour = "#6b1b3a",
                },
            ],
            Hoopings =
            [
                new Hooping
                {
                    Id = "h1",
                    Name = "Front",
                    Hoop = new Hoop($"{fieldWidth:0} × {fieldHeight:0}", fieldWidth, fieldHeight),
                    GroundClothId = "ground",
                    StabiliserClothId = "stab",
                    LineThreadId = "line",
                    CoverThreadId = "cover",
                },
            ],
        };

    internal static Project With(
        ShapeSource shape,
        double width = 60,
        double height = 60,
        Method method = Method.TrimInTheHoop,
        string cloth = "beet"
    ) => Apply(Empty(), Add(shape, width, height, method, cloth));

    internal static AddPiece Add(
        ShapeSource shape,
        double width = 60,
        double height = 60,
        Method method = Method.TrimInTheHoop,
        string cloth = "beet"
    ) =>
        new()
        {
            Shape = shape,
            Box = new ElementBox(0, 0, width, height, 0),
            Method = method,
            ClothId = cloth,
        };

    internal static Project Apply(Project project, params ImmutableArray<Edit> edits)
    {
        foreach (var edit in edits)
        {
            var result = edit.Apply(project, Context);
            Assert.True(result.IsOk, result.Refusal?.Words);
            project = result.Value;
        }
        return project;
    }

    internal static Refusal Refused(Project project, Edit edit)
    {
        var result = edit.Apply(project, Context);
        Assert.False(result.IsOk);
        return result.Refusal!;
    }

    /// <summary>What the stations make of a project, with what all tests of this run have made before: EvaluatorTests prove that it is
    /// the same as made anew.</summary>
    internal static Evaluated Evaluate(Project project) => Context.Evaluator.Evaluate(project);
}
