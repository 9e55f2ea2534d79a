using System.Collections.Immutable;
using System.Globalization;
using CsvHelper;
using Ullet.Core.Geometry;
using Ullet.Core.Opened;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Files.Designs;

/// <summary>Reads stitches from a table: one command a row, columns as Ullet writes them or as a person says.</summary>
public static class TableDesignReader
{
    /// <summary>The columns that a table may have, in the order in which they are named.</summary>
    public static readonly ImmutableArray<string> Columns = ["step", "block", "command", "x", "y", "thread"];

    /// <summary>Most rows.</summary>
    private const int MostRows = 2_000_000;

    private const int Shown = 6;

    private const int MostLeftOut = 20;

    /// <summary>The first row and some rows below it, for a person who has to say what is what.</summary>
    public static (ImmutableArray<string> Names, ImmutableArray<ImmutableArray<string>> Rows) Head(string text)
    {
        var rows = ImmutableArray.CreateBuilder<ImmutableArray<string>>();
        using var csv = Open(text.Length > 20_000 ? text[..20_000] : text);
        try
        {
            while (rows.Count < Shown && csv.Read())
            {
                rows.Add([
                    .. Enumerable.Range(0, Math.Min(csv.FieldCount, 40)).Select(i => Short(csv.GetString(i) ?? "")),
                ]);
            }
        }
        catch (CsvFormatException)
        {
            // What was read so far is shown.
        }
        return rows.Count == 0 ? ([], []) : (rows[0], [.. rows.Skip(1)]);
    }

    /// <summary>The columns as they are likely meant, by their names; -1 for none.</summary>
    public static ImmutableArray<int> Guessed(ImmutableArray<string> names) =>
        [.. Columns.Select(column => Find(names, column))];

    internal static Result<StitchDesign> Read(string text, string name, OpenedReading reading)
    {
        text = text.TrimStart('\uFEFF');
        var (names, _) = Head(text);
        var columns = reading.Columns ?? Guessed(names);
        if (columns[3] < 0 || columns[4] < 0)
        {
            return new Refusal(
                "stitch-columns",
                "columns",
                $"Which columns of this table hold the places x and y? Its first row says: {string.Join(", ", names.Take(8))}."
            );
        }
        if (
            columns.Where(column => column >= 0).GroupBy(column => column).FirstOrDefault(same => same.Count() > 1) is
            { } twice
        )
        {
            return new Refusal(
                "stitch-columns",
                "columns",
                $"Column {twice.Key + 1} of this table can't be two things at once."
            );
        }
        using var csv = Open(text);
        var divider = Divider(text);
        try
        {
            return Read(csv, divider, name, columns, reading, hasHeader: !IsNumber(names, columns[3], divider));
        }
        catch (CsvFormatException)
        {
            return Broken(csv.RowNumber, "its quotation marks do not close");
        }
    }

    private static Result<StitchDesign> Read(
        CsvReader csv,
        char divider,
        string name,
        ImmutableArray<int> columns,
        OpenedReading reading,
        bool hasHeader
    )
    {
        var scale = reading.MmPerUnit ?? 1;
        var up = reading.IsYUp ?? false ? -1 : 1;
        var blocks = new DesignBlocks();
        var leftOut = ImmutableArray.CreateBuilder<string>();
        var missed = 0;
        while (csv.Read())
        {
            Budget.Spend();
            if (csv.RowNumber == 1 && hasHeader)
            {
                continue;
            }
            if (csv.RowNumber > MostRows)
            {
                return Broken(csv.RowNumber, $"up to {MostRows:N0} rows are read");
            }
            string Cell(int column) =>
                columns[column] < 0 || columns[column] >= csv.FieldCount
                    ? ""
                    : (csv.GetString(columns[column]) ?? "").Trim();
            var word = Cell(2).ToLowerInvariant();
            var thread = Cell(5);
            if (word is "stop" or "pause")
            {
                blocks.Stop();
                continue;
            }
            blocks.Go($"{Cell(0)}\u001f{Cell(1)}\u001f{thread}", thread);
            if (word is "trim" or "t" or "cut")
            {
                blocks.Trim();
                continue;
            }
            var move = word switch
            {
                "" or "stitch" or "s" or "sew" => OpenedMove.Stitch,
                "jump" or "j" or "move" => OpenedMove.Jump,
                _ => (OpenedMove?)null,
            };
            if (move is not { } kind || Number(Cell(3), divider) is not { } x || Number(Cell(4), divider) is not { } y)
            {
                missed++;
                if (leftOut.Count < MostLeftOut)
                {
                    leftOut.Add(
                        move is null
                            ? $"Row {csv.RowNumber}: \"{Short(word)}\" is no command."
                            : $"Row {csv.RowNumber}: \"{Short(Cell(3))}\" and \"{Short(Cell(4))}\" are no place."
                    );
                }
                continue;
            }
            if (!blocks.Put(kind, new Point(x * scale, y * scale * up)))
            {
                return Broken(
                    csv.RowNumber,
                    $"a place lies more than {NeedlePack.Farthest / 1000:0} m from the origin; is the unit right?"
                );
            }
        }
        if (missed > leftOut.Count)
        {
            leftOut.Add($"{missed - leftOut.Count:N0} more rows could not be read.");
        }
        return blocks
            .Design(name)
            .Then(design =>
                (Result<StitchDesign>)(
                    design with
                    {
                        LeftOut = leftOut.ToImmutable(),
                        SaysUnit = columns.SequenceEqual(Enumerable.Range(0, 6)) && reading.Columns is null,
                        SaysAxes = columns.SequenceEqual(Enumerable.Range(0, 6)) && reading.Columns is null,
                        MmPerUnit = scale,
                        IsYUp = up < 0,
                    }
                )
            );
    }

    private static CsvReader Open(string text) =>
        CsvReader.FromText(
            text,
            new CsvReaderOptions
            {
                HasHeader = false,
                Separator = Divider(text),
                MalformedData = CsvMalformedDataHandling.Recover,
                FieldCountMismatch = CsvFieldCountHandling.Allow,
            }
        );

    /// <summary>What divides the first line most often.</summary>
    private static char Divider(string text)
    {
        var line = text.AsSpan(0, Math.Max(0, text.IndexOf('\n') is >= 0 and var end ? end : text.Length));
        var best = ',';
        foreach (var sign in ";\t")
        {
            best = line.Count(sign) > line.Count(best) ? sign : best;
        }
        return best;
    }

    private static int Find(ImmutableArray<string> names, string column)
    {
        for (var i = 0; i < names.Length; i++)
        {
            var own = names[i].Trim().ToLowerInvariant();
            if (
                own == column
                || (column == "thread" && own is "colour" or "color")
                || (column == "command" && own is "kind" or "type")
            )
            {
                return i;
            }
        }
        return -1;
    }

    private static bool IsNumber(ImmutableArray<string> names, int column, char divider) =>
        column >= 0 && column < names.Length && Number(names[column].Trim(), divider) is not null;

    /// <summary>A number; where something else divides the cells a comma may stand for its point.</summary>
    private static double? Number(string text, char divider) =>
        double.TryParse(
            divider == ',' ? text : text.Replace(',', '.'),
            NumberStyles.Float,
            CultureInfo.InvariantCulture,
            out var number
        ) && double.IsFinite(number)
            ? number
            : null;

    private static string Short(string text) => text.Length > 24 ? text[..24] + "…" : text;

    private static Refusal Broken(long row, string why) =>
        new("stitch-table-broken", $"row {row}", $"This table of stitches can't be read: row {row}: {why}.");
}
