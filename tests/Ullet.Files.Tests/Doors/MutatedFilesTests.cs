using Ullet.Core.Drawings;
using Ullet.Core.Edits;
using Ullet.Core.Opened;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Doors;
using Ullet.Files.CutFiles;
using Ullet.Files.Designs;
using Ullet.Files.Drawings;
using Ullet.Files.Fonts;
using Ullet.Files.Pictures;
using Ullet.Files.ProjectFiles;
using Ullet.Files.StitchFiles;
using Ullet.Files.StitchLists;

namespace Ullet.Files.Tests.Doors;

/// <summary>A sample of what "./ullet bench doors" does: mutated files through every reader, within a budget of steps.</summary>
public sealed class MutatedFilesTests
{
    private const int Seed = 15;

    private const int FilesOfAKind = 160;

    private const long MostSteps = 40_000_000;

    public static TheoryData<string> Kinds =>
        ["svg", "dxf", "cut svg", "cut dxf", "ulst", "ullet", "jpg", "ttf", "stitches", "needle path"];

    [Theory]
    [MemberData(nameof(Kinds))]
    public void MutatedFiles_AreReadOrRefused_WithinTheirBudget(string kind)
    {
        var seeds = Seeds(kind).ToList();
        for (var i = 0; i < FilesOfAKind; i++)
        {
            var mutations = new Mutations(unchecked((Seed * 1_000_003) + i));
            var file = mutations.Of(seeds[i % seeds.Count]);
            var budget = new Budget("Reading this", MostSteps);
            try
            {
                if (budget.Run(() => Read(kind, file)) is { } refusal)
                {
                    Assert.False(string.IsNullOrWhiteSpace(refusal.Words), $"{kind}, seed {Seed}, file {i}");
                    Assert.DoesNotContain("Ullet.", refusal.Words, StringComparison.Ordinal);
                    Assert.DoesNotContain("System.", refusal.Words, StringComparison.Ordinal);
                }
            }
            catch (TooMuchException)
            {
                Assert.True(budget.Spent > 0);
            }
            catch (Exception wrong) when (wrong is not Xunit.Sdk.IAssertionException)
            {
                Assert.Fail($"{kind}, seed {Seed}, file {i}: {wrong}");
            }
            Assert.InRange(budget.Spent, 0, MostSteps + 2_000_000);
        }
    }

    private static Refusal? Read(string kind, byte[] file) =>
        kind switch
        {
            "svg" or "dxf" => DrawingFiles
                .Read(file)
                .Then(drawing =>
                    (Result<SortedDrawing>)
                        DrawingSorter.Sort(drawing, new DrawingWish(drawing.MmPerUnit ?? Drawing.UsualMmPerUnit))
                )
                .Refusal,
            "cut svg" or "cut dxf" => CutFileReader.Read(file).Refusal,
            "ulst" => StitchListReader.Read(file).Refusal,
            "stitches" or "needle path" => Opened(file),
            "ullet" => ProjectFile.Read(file).Refusal,
            "jpg" => PictureReader.Size(file).Refusal,
            "ttf" => FontReader.Read("own", file).Refusal,
            _ => throw new ArgumentException(kind, nameof(kind)),
        };

    /// <summary>As a stitch file is opened: read, looked at block by block, put into a project.</summary>
    private static Refusal? Opened(byte[] file) =>
        StitchDesignFiles
            .Read(file, "own", new OpenedReading())
            .Then(design =>
                new OpenStitches { Token = new string('a', 64), Name = "own" }.Apply(
                    DemoWork.Patch.Project,
                    DemoWork.Context with
                    {
                        Designs = new One(design),
                    }
                )
            )
            .Refusal;

    private sealed class One(StitchDesign design) : IStitchDesigns
    {
        public StitchDesign? Find(string token, OpenedReading reading) => design;
    }

    private static IEnumerable<byte[]> Seeds(string kind)
    {
        var evaluated = DemoWork.Patch;
        var page = CutPage.Of("Sample", evaluated.Sheets[0]);
        return kind switch
        {
            "ulst" => [StitchFormats.Make(StitchFormats.List, evaluated.Program)],
            "stitches" =>
            [
                StitchFormats.Find("csv")!.Write(DemoWork.All["Shed-key tab"].Program),
                StitchFormats.Make(StitchFormats.List, DemoWork.All["Shed-key tab"].Program),
            ],
            "needle path" =>
            [
                "G21\nG90\nM3\nG1 X0 Y0\nG1 X5 Y0\nG2 X10 Y5 I5 J0\nM5\nT2\nM3\nG1 X9 Y9\nG3 X1 Y1 R20\nM0\n"u8.ToArray(),
            ],
            "ullet" => [ProjectFile.Export(evaluated.Project, [])],
            "cut svg" => [CutExport.Make(page, new CutFileWish(CutFormat.Svg)).Value],
            "cut dxf" => [CutExport.Make(page, new CutFileWish(CutFormat.Dxf)).Value],
            "ttf" =>
            [
                File.ReadAllBytes(Directory.GetFiles(Fonts, "*.ttf", SearchOption.AllDirectories).Order().First()),
            ],
            _ => OddDrawings
                .All()
                .Where(own => own.Name.EndsWith(kind, StringComparison.Ordinal))
                .Select(own => own.Bytes),
        };
    }

    private static string Fonts
    {
        get
        {
            var folder = AppContext.BaseDirectory;
            while (!Directory.Exists(Path.Combine(folder, "assets/fonts/lettering")))
            {
                folder = Path.GetDirectoryName(folder)!;
            }
            return Path.Combine(folder, "assets/fonts/lettering");
        }
    }
}
