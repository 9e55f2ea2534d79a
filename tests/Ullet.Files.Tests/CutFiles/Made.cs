using Ullet.Core.Cutting;
using Ullet.Files.CutFiles;

namespace Ullet.Files.Tests.CutFiles;

/// <summary>Cut files as they are handed out.</summary>
internal static class Made
{
    internal static byte[] Svg(CutSheet sheet, PlacedShape? alone = null) => File(CutFormat.Svg, sheet, alone);

    internal static byte[] File(CutFormat format, CutSheet sheet, PlacedShape? alone = null) =>
        File(new CutFileWish(format), sheet, alone);

    internal static byte[] File(CutFileWish wish, CutSheet sheet, PlacedShape? alone = null) =>
        CutExport.Make(Page(sheet, alone), wish).Value;

    internal static CutPage Page(CutSheet sheet, PlacedShape? alone = null) =>
        alone is null ? CutPage.Of("Sample", sheet) : CutPage.Of("Sample", sheet, alone);
}
