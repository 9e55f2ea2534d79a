using System.Text.Json;
using Ullet.Core.Projects;
using Ullet.Files.ProjectFiles;

namespace Ullet.Files.Tests.Parity;

/// <summary>What 0.6 gave from its own project files is what this build gives from them.</summary>
/// <remarks>With ULLET_RECORD=1 what this build gives is written down anew; each difference must be wanted and explained.</remarks>
public sealed class ParityTests
{
    private static readonly JsonSerializerOptions Indented = new() { WriteIndented = true };

    private static readonly string Folder = Path.Combine(Repository.Root, "tests", "recorded", "0.6");

    public static TheoryData<string> Names =>
        [
            .. Directory
                .EnumerateFiles(Folder, "*.ullet")
                .Select(file => Path.GetFileNameWithoutExtension(file)!)
                .Order(),
        ];

    [Theory]
    [MemberData(nameof(Names))]
    public void RecordedProject_Gives_TheSameStitchesCutsAndFindings(string name)
    {
        var read = ProjectFile.Read(File.ReadAllBytes(Path.Combine(Folder, $"{name}.ullet")));
        var given = RecordedWork.Of(DemoWork.Context.Evaluator.Evaluate(read.Value.Project));
        var recorded = JsonSerializer.Deserialize<RecordedWork>(
            File.ReadAllBytes(Path.Combine(Folder, $"{name}.json"))
        )!;
        Assert.Equal(recorded.Steps, given.Steps);
        Assert.Equal(recorded.Cuts, given.Cuts);
        Assert.Equal(recorded.Findings, given.Findings);
    }

    [Fact]
    public void Recording_HoldsEveryKindOfProject() => Assert.True(Names.Count >= 28, $"{Names.Count} are recorded");

    [Fact]
    public void Record()
    {
        if (Environment.GetEnvironmentVariable("ULLET_RECORD") != "1")
        {
            return;
        }
        foreach (var (name, project) in RecordedProjects.All())
        {
            var file = Path.Combine(Folder, $"{name}.ullet");
            if (!File.Exists(file))
            {
                File.WriteAllBytes(file, ProjectFile.Export(project, []));
            }
            var read = ProjectFile.Read(File.ReadAllBytes(file)).Value.Project;
            var given = RecordedWork.Of(DemoWork.Context.Evaluator.Evaluate(read));
            File.WriteAllBytes(
                Path.Combine(Folder, $"{name}.json"),
                JsonSerializer.SerializeToUtf8Bytes(given, Indented)
            );
        }
    }
}
