using System.Buffers;
using System.Globalization;
using Ullet.Core.Cutting;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;

namespace Ullet.Server.Endpoints;

/// <summary>Names of exported files: project, size, and cloth or piece.</summary>
internal static class FileNames
{
    /// <param name="evaluated">The project.</param>
    /// <param name="hooping">The name of a hooping besides the project's own, or null.</param>
    /// <summary>The stitch file of a hooping, with the code of the state that it is made from; the first one's bears the project's name
    /// alone.</summary>
    internal static string StitchFile(Evaluated evaluated, HoopingOutput hooping, string ending) =>
        $"{Stem(evaluated)}{(hooping.Id == evaluated.Hoopings[0].Id ? "" : " " + Plain(hooping.Name))} {hooping.Program.Code}.{ending}";

    internal static string Project(Evaluated evaluated) => Plain(evaluated.Project.Title) + ".ullet";

    internal static string Booklet(Evaluated evaluated) => $"{Stem(evaluated)} {evaluated.Program.Code} booklet.pdf";

    internal static string Picture(Evaluated evaluated) => Stem(evaluated) + ".png";

    /// <summary>What a packet's folder is called by itself.</summary>
    internal static string Folder(Evaluated evaluated) => Stem(evaluated) + " packet";

    /// <summary>A packet's file: the folder's name, as somebody typed it or by itself.</summary>
    internal static string Packet(Evaluated evaluated, string? folder = null) =>
        (string.IsNullOrWhiteSpace(folder) ? Folder(evaluated) : Plain(folder)) + ".zip";

    internal static string Scissors(Evaluated evaluated) => Stem(evaluated) + " cut with scissors.pdf";

    internal static string SizeCard(Evaluated evaluated) => Stem(evaluated) + " size card.pdf";

    /// <summary>Project, cloth or piece, the size of what is cut rounded up, sheet, and whether it is mirrored.</summary>
    internal static string Cut(Evaluated evaluated, CutSheet sheet, PlacedShape? placed, string ending)
    {
        var box = placed?.Outline.Bounds() ?? sheet.Bounds();
        var number = placed is null && sheet.Count > 1 ? $" sheet-{sheet.Number}-of-{sheet.Count}" : "";
        var mirrored = sheet.IsMirrored ? " mirrored" : "";
        var (title, what) = (Plain(evaluated.Project.Title), Plain(placed?.Shape.Name ?? sheet.Cloth.Name));
        // What the project is called already is not said twice.
        var named = what == title ? "" : " " + what;
        return $"{title} cut{named} {Size(box)}{number}{mirrored}{ending}";
    }

    /// <summary>The title and the whole design's size in mm, rounded up.</summary>
    private static string Stem(Evaluated evaluated)
    {
        var box = evaluated.DesignBounds();
        return Plain(evaluated.Project.Title) + (box.IsEmpty ? "" : " " + Size(box));
    }

    /// <summary>What fitted curves may add to a size is not worth another millimetre in a name, mm.</summary>
    private const double Hair = 0.05;

    private static string Size(Box box) =>
        string.Create(
            CultureInfo.InvariantCulture,
            $"{Math.Ceiling(box.Width - Hair):0}x{Math.Ceiling(box.Height - Hair):0}mm"
        );

    /// <summary>The longest part of a name.</summary>
    internal const int Longest = 60;

    /// <summary>What no file system takes in a name.</summary>
    private static readonly SearchValues<char> Forbidden = SearchValues.Create("\\/:*?\"<>|");

    /// <summary>A name as its user typed it, without what file systems do not take; "project" where nothing is left.</summary>
    internal static string Plain(string text)
    {
        var kept = new string([.. text.Select(c => char.IsControl(c) || Forbidden.Contains(c) ? ' ' : c)]);
        var words = string.Join(' ', kept.Split(' ', StringSplitOptions.RemoveEmptyEntries)).Trim('.', ' ');
        var name = words.Length <= Longest ? words : words[..Longest].TrimEnd('.', ' ');
        return name.Length == 0 ? "project" : name;
    }
}
