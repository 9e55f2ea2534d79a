using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Opened;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Samples;

/// <summary>Projects that opened what others sew.</summary>
internal static class OpenedSample
{
    /// <summary>The name its content gives the one known file.</summary>
    internal static readonly string Token = new('a', 64);

    /// <summary>An edit's context in which one design is known, by <see cref="Token"/>.</summary>
    internal static EditContext Knowing(StitchDesign design) =>
        SampleProject.Context with
        {
            Designs = new One(design),
        };

    /// <summary>What a project sews, opened in an empty one.</summary>
    internal static Project Opened(Project source, bool withHands = true) =>
        OpenedIn(SampleProject.Empty(), source, withHands);

    /// <summary>What a project sews, opened in another.</summary>
    internal static Project OpenedIn(Project into, Project source, bool withHands = true)
    {
        var design = Design(source, withHands);
        var opened = new OpenStitches { Token = Token, Name = "stranger" }.Apply(into, Knowing(design));
        Assert.True(opened.IsOk, opened.Refusal?.Words);
        return opened.Value;
    }

    /// <summary>What a project sews as a design: with its hands, or as a machine's own file would have it: points, threads, stops.</summary>
    internal static StitchDesign Design(Project source, bool withHands = true)
    {
        var design = DesignOfProgram.Of(SampleProject.Evaluate(source).Hoopings[0].Program);
        return withHands
            ? design
            : design with
            {
                Blocks = [.. design.Blocks.Select(block => block with { Name = null, Words = null, Before = [] })],
                Cloths = [],
                After = [],
                Ground = null,
            };
    }

    /// <summary>What is sewn, command by command, of blocks that have any.</summary>
    internal static ImmutableArray<ImmutableArray<NeedleCommand>> Sewn(Project project) =>
        [
            .. SampleProject
                .Evaluate(project)
                .Hoopings[0]
                .Program.Steps.OfType<ProgramStitches>()
                .Where(step => step.Commands.Length > 0)
                .Select(step => step.Commands),
        ];

    internal static Project Apply(Project project, params ImmutableArray<Edit> edits) =>
        SampleProject.Apply(project, edits);

    /// <summary>One block with stitches of any length, trims and jumps among them, opened in an empty project.</summary>
    internal static Project Random(Random random)
    {
        var points = new List<OpenedPoint>();
        var at = new Point(random.Next(-20, 20), random.Next(-20, 20));
        for (var i = 0; i < 20 + random.Next(200); i++)
        {
            var what = random.Next(20);
            if (what == 0 && points.Count > 0 && points[^1].Move == OpenedMove.Stitch)
            {
                points.Add(new OpenedPoint(OpenedMove.Trim, at));
            }
            at = (at + new Point((random.NextDouble() - 0.5) * 6, (random.NextDouble() - 0.5) * 6)).Rounded(0.01);
            if (points.Count == 0 || points[^1].Move == OpenedMove.Trim)
            {
                points.Add(new OpenedPoint(OpenedMove.Jump, at));
            }
            points.Add(new OpenedPoint(OpenedMove.Stitch, at));
        }
        var design = new StitchDesign(
            "random",
            [new DesignBlock([.. points], 0)],
            [
                new MachineThread
                {
                    Id = "t1",
                    Name = "red",
                    Colour = "#aa2233",
                },
            ]
        );
        return new OpenStitches { Token = Token, Name = "random" }
            .Apply(SampleProject.Empty(), Knowing(design))
            .Value;
    }

    private sealed class One(StitchDesign design) : IStitchDesigns
    {
        public StitchDesign? Find(string token, OpenedReading reading) => token == Token ? design : null;
    }
}
