using System.IO.Compression;
using System.Text;
using Ullet.Core.Projects;
using Ullet.Files.ProjectFiles;

namespace Ullet.Files.Tests.ProjectFiles;

public sealed class ProjectFileTests
{
    public static TheoryData<string> Titles => DemoWork.Titles;

    [Theory]
    [MemberData(nameof(Titles))]
    public void Read_OfWhatWasExported_GivesTheSameProjectAndStitches(string title)
    {
        var project = DemoWork.All[title].Project;
        var read = ProjectFile.Read(ProjectFile.Export(project, [])).Value.Project;
        Assert.Equal(ProjectJson.Write(project), ProjectJson.Write(read));
        Assert.Equal(
            DemoWork.All[title].Program.StitchCount,
            DemoWork.Context.Evaluator.Evaluate(read).Program.StitchCount
        );
    }

    [Fact]
    public void Export_OfTheSameProject_GivesTheSameBytes() =>
        Assert.Equal(ProjectFile.Export(DemoWork.Patch.Project, []), ProjectFile.Export(DemoWork.Patch.Project, []));

    [Fact]
    public void Read_BringsFontsAndPictures_AndKnowsDamagedOnes()
    {
        byte[] font = [1, 2, 3, 4];
        var asset = new ProjectAsset(
            Convert.ToHexStringLower(System.Security.Cryptography.SHA256.HashData(font)),
            "font",
            font
        );
        var file = ProjectFile.Export(DemoWork.Patch.Project, [asset]);
        var read = Assert.Single(ProjectFile.Read(file).Value.Assets);
        Assert.Equal((asset.Sha256, "font"), (read.Sha256, read.Kind));
        Assert.Equal(font, read.Bytes);
        Assert.ThrowsAny<InvalidOperationException>(() =>
            ProjectFile.Export(DemoWork.Patch.Project, [asset with { Bytes = [9] }])
        );
    }

    [Fact]
    public void Read_OfForeignBytes_Refuses()
    {
        Assert.Equal("project-file-foreign", ProjectFile.Read("not a zip"u8.ToArray()).Refusal?.Code);
        Assert.Equal("project-file-foreign", ProjectFile.Read(Array.Empty<byte>()).Refusal?.Code);
        Assert.Equal("project-file-foreign", ProjectFile.Read(Zip(("readme.txt", "hello"))).Refusal?.Code);
        Assert.Equal(
            "project-file-foreign",
            ProjectFile.Read(Zip(("ullet.json", "{}"), ("project.json", "{}"))).Refusal?.Code
        );
    }

    [Fact]
    public void Read_OfACutOffFile_Refuses()
    {
        var whole = ProjectFile.Export(DemoWork.Patch.Project, []);
        Assert.Equal("project-file-foreign", ProjectFile.Read(whole.AsMemory(0, whole.Length / 2)).Refusal?.Code);
    }

    [Fact]
    public void Read_OfNewerVersions_SaysSo()
    {
        const string Manifest = "{\"format\":\"ullet-project\",\"version\":1}";
        var newerFile = Zip(("ullet.json", Manifest.Replace('1', '8')), ("project.json", "{}"));
        Assert.Equal("project-file-newer", ProjectFile.Read(newerFile).Refusal?.Code);
        var newerDocument = Zip(("ullet.json", Manifest), ("project.json", "{\"schemaVersion\":44}"));
        Assert.Equal("project-newer", ProjectFile.Read(newerDocument).Refusal?.Code);
    }

    private static byte[] Zip(params (string Name, string Text)[] entries)
    {
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach (var (name, text) in entries)
            {
                using var entry = zip.CreateEntry(name).Open();
                entry.Write(Encoding.UTF8.GetBytes(text));
            }
        }
        return stream.ToArray();
    }
}
