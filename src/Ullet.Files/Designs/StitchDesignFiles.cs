using System.Text;
using Ullet.Core.Opened;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Drawings;
using Ullet.Files.StitchLists;

namespace Ullet.Files.Designs;

/// <summary>What a file with stitches is.</summary>
public enum DesignKind
{
    StitchList,
    Table,
    NeedlePaths,
    DrawnLines,
}

/// <summary>Reads files with stitches by what they are.</summary>
public static class StitchDesignFiles
{
    /// <summary>Largest file, bytes.</summary>
    public const int LargestFile = 60_000_000;

    /// <summary>How files with stitches end.</summary>
    public static readonly IReadOnlyList<string> Endings = ["ulst", "csv", "tsv", "gcode", "nc", "ngc", "svg", "dxf"];

    /// <summary>What it says, or why it can't be read.</summary>
    /// <param name="file">The file.</param>
    /// <param name="name">What a design without a name of its own is called.</param>
    /// <param name="reading">How it is to be taken where it does not say so itself.</param>
    public static Result<StitchDesign> Read(ReadOnlyMemory<byte> file, string name, OpenedReading reading)
    {
        if (file.Length > LargestFile)
        {
            return new Refusal(
                "stitches-too-large",
                "file",
                $"A stitch file may have up to {LargestFile / 1_000_000} MB; this one has {file.Length / 1e6:0.0}."
            )
            {
                Kind = RefusalKind.TooLarge,
            };
        }
        if (CheckReading(reading) is { } wrong)
        {
            return wrong;
        }
        return KindOf(file.Span) switch
        {
            DesignKind.StitchList => StitchListReader
                .Read(file.Span)
                .Then(program => (Result<StitchDesign>)DesignOfProgram.Of(program)),
            DesignKind.Table => TableDesignReader.Read(Encoding.UTF8.GetString(file.Span), name, reading),
            DesignKind.NeedlePaths => NeedlePathReader.Read(Encoding.UTF8.GetString(file.Span), name, reading),
            DesignKind.DrawnLines => DrawnLinesReader.Read(file, name, reading),
            null => new Refusal(
                "stitches-foreign",
                "file",
                "This is no file that stitches can be read from. Ullet opens its own stitch lists (.ulst), tables (.csv), needle paths in "
                    + "G-code, and the lines of SVG and DXF drawings; a converter of your own can write a table."
            ),
        };
    }

    /// <summary>What a file is, by its content; null for none of them.</summary>
    public static DesignKind? KindOf(ReadOnlySpan<byte> file)
    {
        if (
            file.Length > 2
            && (file[..Math.Min(file.Length, 4_000)].Contains((byte)0) || (file[0] == 'P' && file[1] == 'K'))
        )
        {
            return null;
        }
        if (DrawingFiles.IsTagged(file))
        {
            return file.IsEmpty ? null : DesignKind.DrawnLines;
        }
        var head = Encoding.UTF8.GetString(file[..Math.Min(file.Length, 4_000)]).TrimStart('\uFEFF');
        if (head.StartsWith("ullet-stitch-list", StringComparison.Ordinal))
        {
            return DesignKind.StitchList;
        }
        var lines = head.Split('\n').Select(line => line.Trim()).Where(line => line.Length > 0).Take(12).ToList();
        return lines.Count == 0 ? null
            : lines.Count > 1 && lines[0] is "0" or "999" && !lines[1].Contains(',', StringComparison.Ordinal)
                ? DesignKind.DrawnLines
            : NeedlePathReader.LooksLike(lines) ? DesignKind.NeedlePaths
            : lines[0].IndexOfAny([',', ';', '\t']) >= 0 ? DesignKind.Table
            : null;
    }

    private static Refusal? CheckReading(OpenedReading reading) =>
        Limits.CheckSet(reading.MmPerUnit, (1e-4, 1000), "mm", "The size of a unit", "mmPerUnit")
        ?? (
            reading.Columns is { } columns && (columns.Length != 6 || columns.Any(column => column is < -1 or > 200))
                ? new Refusal(
                    "columns-broken",
                    "columns",
                    "Columns are named by six numbers from 0; -1 for one that is not there."
                )
                : null
        );
}
