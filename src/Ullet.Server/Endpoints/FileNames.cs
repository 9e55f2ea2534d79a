using System.Globalization;
using Ullet.Core.Cutting;
using Ullet.Core.Evaluation;

namespace Ullet.Server.Endpoints;

/// <summary>Names of exported files: project, size, and cloth or piece.</summary>
internal static class FileNames
{
    /// <param name="evaluated">The project.</param>
    /// <param name="hooping">The name of a hooping besides the project's own, or null.</param>
    internal static string StitchList(Evaluated evaluated, string? hooping = null) =>
        Stem(evaluated) + (hooping is null ? "" : " " + Slug(hooping)) + ".ulst";

    internal static string Project(Evaluated evaluated) => Slug(evaluated.Project.Title) + ".ullet";

    internal static string Instructions(Evaluated evaluated) => Stem(evaluated) + " instructions.pdf";

    internal static string Picture(Evaluated evaluated) => Stem(evaluated) + ".png";

    internal static string Packet(Evaluated evaluated) => Stem(evaluated) + " packet.zip";

    internal static string Cut(Evaluated evaluated, CutSheet sheet, PlacedShape? placed) =>
        $"{Stem(evaluated)} cut {Slug(placed?.Shape.Name ?? sheet.Cloth.Name)}{(sheet.IsMirrored ? " mirrored" : "")}.svg";

    /// <summary>The title and the whole design's size in mm, rounded up.</summary>
    private static string Stem(Evaluated evaluated)
    {
        var box = evaluated.DesignBounds();
        var size = box.IsEmpty
            ? "empty"
            : string.Create(
                CultureInfo.InvariantCulture,
                $"{Math.Ceiling(box.Width):0}x{Math.Ceiling(box.Height):0}mm"
            );
        return $"{Slug(evaluated.Project.Title)} {size}";
    }

    /// <summary>Letters and figures kept, everything else a hyphen.</summary>
    private static string Slug(string text)
    {
        var parts = new string([.. text.ToLowerInvariant().Select(c => char.IsLetterOrDigit(c) ? c : ' ')]).Split(
            ' ',
            StringSplitOptions.RemoveEmptyEntries
        );
        return parts.Length == 0 ? "project" : string.Join('-', parts);
    }
}
