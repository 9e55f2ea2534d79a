using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Files.Fonts;
using Ullet.Server.Demo;

namespace Ullet.Files.Tests;

/// <summary>The demo projects, evaluated once.</summary>
internal static class DemoWork
{
    internal static readonly FontShelf Fonts = new();

    internal static readonly EditContext Context = new(new Evaluator(new StationCache(), Fonts));

    internal static readonly IReadOnlyDictionary<string, Evaluated> All = DemoShelf
        .Projects()
        .ToDictionary(project => project.Title, project => Context.Evaluator.Evaluate(project), StringComparer.Ordinal);

    internal static Evaluated Patch => All["Plot 14 harvest patch"];

    /// <summary>What every hooping of the demo projects sews.</summary>
    internal static IEnumerable<StitchProgram> Programs() =>
        All.Values.SelectMany(evaluated => evaluated.Hoopings).Select(hooping => hooping.Program);

    internal static TheoryData<string> Titles => [.. All.Keys];

    internal static Evaluated With(Project project, Edit edit) =>
        Context.Evaluator.Evaluate(edit.Apply(project, Context).Value);
}
