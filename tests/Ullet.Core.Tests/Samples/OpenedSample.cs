using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
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

    private sealed class One(StitchDesign design) : IStitchDesigns
    {
        public StitchDesign? Find(string token, OpenedReading reading) => token == Token ? design : null;
    }
}
