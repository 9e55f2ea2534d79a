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
    /// <param name="evaluated">The project.</param>
    /// <param name="assets">The fonts and pictures that it needs.</param>
    /// <param name="at">When its state was saved: the same state gives the same bytes. Now where it is left out.</param>
    internal static byte[] Zip(Evaluated evaluated, IReadOnlyList<ProjectAsset> assets, DateTimeOffset? at = null)
    {
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach (var file in Plan(evaluated))
            {
                var entry = zip.CreateEntry(file.Name);
                entry.LastWriteTime = at ?? DateTimeOffset.Now;
                using var content = entry.Open();
                content.Write(file.Make(assets));
            }
        }
        return stream.ToArray();
    }

    /// <summary>The files of a packet, in their order; each is made when it is asked for.</summary>
    internal static IEnumerable<PacketPart> Plan(Evaluated evaluated)
    {
        foreach (var output in evaluated.Hoopings)
        {
            yield return new PacketPart(
                FileNames.StitchFile(evaluated, output, StitchFormats.List.Ending),
                $"Stitch file of the hooping {output.Name}, with its stops",
                _ => StitchFormats.Make(StitchFormats.List, output.Program)
            );
        }
        foreach (var (choice, wish) in Cuts(evaluated))
        {
            yield return new PacketPart(
                "cut/" + FileNames.Cut(evaluated, choice.Sheet, null, wish.Ending),
                $"Cut shapes of {choice.Sheet.Cloth.Name} at true size",
                _ => CutExport.Make(choice.Page(evaluated.Project.Title), wish).Value
            );
        }
        if (ScissorsPages.Pdf(evaluated, Paper.A4) is { IsOk: true } pages)
        {
            yield return new PacketPart(
                "cut/" + FileNames.Scissors(evaluated),
                "Forms at true size to cut round with scissors",
                _ => pages.Value
            );
            yield return new PacketPart(
                "cut/" + FileNames.SizeCard(evaluated),
                "Sizes of all that is cut, and what other programs will show",
                _ => SizeCardSheet.Pdf(evaluated)
            );
        }
        yield return new PacketPart(
            FileNames.Booklet(evaluated),
            "Booklet: every step with a drawing",
            assets => BookletPdf.Of(evaluated, BookletPaper.A4, BookletType.Large, AssetStore.PicturesOf(assets))
        );
        yield return new PacketPart(
            FileNames.Picture(evaluated),
            "Picture of the finished work",
            assets => ProjectPicture.Png(evaluated, LargePicture, photos: AssetStore.PicturesOf(assets))
        );
        yield return new PacketPart(
            FileNames.Project(evaluated),
            "The whole project, to open it again",
            assets => ProjectFile.Export(evaluated.Project, assets)
        );
    }

    /// <summary>The cut files of a packet: each sheet that a cutter takes as SVG and as DXF.</summary>
    internal static IEnumerable<(CutChoice Choice, CutFileWish Wish)> Cuts(Evaluated evaluated) =>
        from sheet in evaluated.Sheets
        where !sheet.Setup.IsByHand
        from format in new[] { CutFormat.Svg, CutFormat.Dxf }
        select (new CutChoice(sheet, null), new CutFileWish(format));
}

/// <summary>A file of a packet.</summary>
/// <param name="Name">Its name in the folder.</param>
/// <param name="What">What it is for.</param>
/// <param name="Make">Makes it with the fonts and pictures that the project needs.</param>
internal sealed record PacketPart(string Name, string What, Func<IReadOnlyList<ProjectAsset>, byte[]> Make);
