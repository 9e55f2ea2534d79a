using System.Text;
using Ullet.Core.Program;
using Ullet.Files.StitchFiles;

namespace Ullet.Files.Tests.StitchFiles;

/// <summary>What every stitch format keeps.</summary>
public sealed class StitchFormatsTests
{
    private static readonly IStitchFormat Csv = StitchFormats.Find("csv")!;

    public static TheoryData<string, string> Files
    {
        get
        {
            var files = new TheoryData<string, string>();
            foreach (var title in DemoWork.All.Keys)
            {
                foreach (var format in StitchFormats.All)
                {
                    files.Add(title, format.Ending);
                }
            }
            return files;
        }
    }

    [Theory]
    [MemberData(nameof(Files))]
    public void File_OfEveryHooping_ComesBackStitchForStitch(string title, string ending)
    {
        var format = StitchFormats.Find(ending)!;
        foreach (var output in DemoWork.All[title].Hoopings)
        {
            var read = format.Read(StitchFormats.Make(format, output.Program)).Value;
            Assert.Equal(
                output.Program.StitchCount,
                read.Sum(step => step.Commands.Count(command => command.Kind == NeedleKind.Stitch))
            );
            Assert.Equal(output.Program.StopCount, read.Count(step => step.StopAfter));
        }
    }

    [Fact]
    public void Endings_AreOnesOwn() =>
        Assert.Equal(StitchFormats.All.Length, StitchFormats.All.Select(format => format.Ending).Distinct().Count());

    [Theory]
    [InlineData("step,block,command,x,y,thread\n2,1,stitch,1,2,1\n2,1,trim,,,1\n2,1,stop,,,1\n", null)]
    [InlineData("\uFEFFstep,block,command,x,y,thread\r\n2,1,\"stitch\",1,2,1\r\n", null)]
    [InlineData("step,command\n", "stitch-table-foreign")]
    [InlineData("", "stitch-table-foreign")]
    [InlineData("step,block,command,x,y,thread\n2,1,fly,1,2,1\n", "stitch-table-broken")]
    [InlineData("step,block,command,x,y,thread\n2,1,stitch,1,NaN,1\n", "stitch-table-broken")]
    [InlineData("step,block,command,x,y,thread\n2,1,stitch,1,1e300,1\n", "stitch-table-broken")]
    [InlineData("step,block,command,x,y,thread\n0,1,stitch,1,1,1\n", "stitch-table-broken")]
    [InlineData("step,block,command,x,y,thread\n2,1,stitch,1\n", "stitch-table-broken")]
    [InlineData(
        "step,block,command,x,y,thread\n3,1,stitch,1,1,1\n2,1,stitch,1,1,1\n4,1,stop,,,1\n",
        "stitch-table-broken"
    )]
    [InlineData("step,block,command,x,y,thread\n2,1,\"stitch,1,1,1\n", "stitch-table-broken")]
    public void Table_IsReadOrRefusedWithItsRow(string text, string? code)
    {
        var read = Csv.Read(Encoding.UTF8.GetBytes(text));
        Assert.Equal(code, read.Refusal?.Code);
        if (read.Refusal is { } refusal)
        {
            Assert.StartsWith("row ", refusal.Place, StringComparison.Ordinal);
            Assert.EndsWith(".", refusal.Words, StringComparison.Ordinal);
        }
    }

    [Theory]
    [InlineData(11)]
    public void Table_CutOrChangedAnywhere_NeverThrows(int seed)
    {
        var whole = Csv.Write(DemoWork.Patch.Program)[..4000];
        var random = new Random(seed);
        for (var i = 0; i < 300; i++)
        {
            var bytes = whole[..random.Next(1, whole.Length)];
            bytes[random.Next(bytes.Length)] = (byte)random.Next(256);
            var read = Csv.Read(bytes);
            Assert.True(read.IsOk || read.Refusal!.Place.Length > 0, $"seed {seed}, case {i}");
        }
    }

    [Fact]
    public void Example_OfTheFormatsPage_CanBeRead()
    {
        var page = File.ReadAllText(Path.Combine(Repository.Root, "docs/formats/stitches-csv.md"));
        var example = page[(page.IndexOf("```\n", StringComparison.Ordinal) + 4)..];
        var read = Csv.Read(Encoding.UTF8.GetBytes(example[..example.IndexOf("```", StringComparison.Ordinal)])).Value;
        var step = Assert.Single(read);
        Assert.Equal((2, 1, 1, true, 4), (step.Step, step.Block, step.Thread, step.StopAfter, step.Commands.Length));
    }
}
