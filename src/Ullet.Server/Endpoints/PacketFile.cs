using System.IO.Compression;
using Ullet.Core.Evaluation;
using Ullet.Files.Booklets;
using Ullet.Files.CutFiles;
using Ullet.Files.Instructions;
using Ullet.Files.Pictures;
using Ullet.Files.ProjectFiles;
using Ullet.Files.StitchFiles;
using Ullet.Server.Documents;

namespace Ullet.Server.Endpoints;

/// <summary>Everything that a project hands over, in one file.</summary>
internal static class PacketFile
{
    private const int LargePicture = 1600;

    /// <summary>All files of a project in one folder.</summary>
    internal static byte[] Zip(Evaluated evaluated, IReadOnlyList<ProjectAsset> assets)
    {
        var photos = AssetStore.PicturesOf(assets);
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach (var output in evaluated.Hoopings)
            {
                Add(
                    zip,
                    FileNames.StitchFile(evaluated, output, StitchFormats.List.Ending),
                    StitchFormats.Make(StitchFormats.List, output.Program)
                );
            }
            foreach (var (choice, wish) in Cuts(evaluated))
            {
                var file = CutExport.Make(choice.Page(evaluated.Project.Title), wish);
                Add(zip, "cut/" + FileNames.Cut(evaluated, choice.Sheet, null, wish.Ending), file.Value);
            }
            if (ScissorsPages.Pdf(evaluated, Paper.A4) is { IsOk: true } pages)
            {
                Add(zip, "cut/" + FileNames.Scissors(evaluated), pages.Value);
                Add(zip, "cut/" + FileNames.SizeCard(evaluated), SizeCardSheet.Pdf(evaluated));
            }
            Add(
                zip,
                FileNames.Booklet(evaluated),
                BookletPdf.Of(evaluated, BookletPaper.A4, BookletType.Large, photos)
            );
            Add(zip, FileNames.Picture(evaluated), ProjectPicture.Png(evaluated, LargePicture, photos: photos));
            Add(zip, FileNames.Project(evaluated), ProjectFile.Export(evaluated.Project, assets));
        }
        return stream.ToArray();
    }

    /// <summary>The cut files of a packet: each sheet that a cutter takes as SVG and as DXF.</summary>
    internal static IEnumerable<(CutChoice Choice, CutFileWish Wish)> Cuts(Evaluated evaluated) =>
        from sheet in evaluated.Sheets
        where !sheet.Setup.IsByHand
        from format in new[] { CutFormat.Svg, CutFormat.Dxf }
        select (new CutChoice(sheet, null), new CutFileWish(format));

    private static void Add(ZipArchive zip, string name, byte[] bytes)
    {
        using var entry = zip.CreateEntry(name).Open();
        entry.Write(bytes);
    }
}
