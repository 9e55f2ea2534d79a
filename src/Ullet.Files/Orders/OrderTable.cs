using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using CsvHelper;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Orders;

/// <summary>A table as it came: rows of cells, all of one length.</summary>
/// <param name="Columns">The cells of its first row where that names the columns; else "Column 1" and so on.</param>
/// <param name="HasHeader">True where the first row names the columns.</param>
/// <param name="Rows">The rows below.</param>
public sealed record OrderTable(
    ImmutableArray<string> Columns,
    bool HasHeader,
    ImmutableArray<ImmutableArray<string>> Rows
)
{
    /// <summary>Largest file, bytes.</summary>
    public const int LargestFile = 16_000_000;

    /// <summary>Most rows that are read: as many as a book takes.</summary>
    public const int MostRows = 5_000;

    /// <summary>Most columns.</summary>
    public const int MostColumns = 100;

    /// <summary>Most characters of a cell.</summary>
    public const int LongestCell = 1_000;

    private const string Orders = "A book takes {0:N0} orders";

    /// <summary>A spreadsheet would take a cell that begins so for a formula; it is written as text.</summary>
    private const string FormulaSigns = "=+-@";

    static OrderTable() => Encoding.RegisterProvider(CodePagesEncodingProvider.Instance);

    /// <summary>Reads a file in UTF-8, UTF-16, or else in Western European letters.</summary>
    /// <param name="bytes">The file.</param>
    /// <param name="isHeader">Says whether a cell names a column.</param>
    /// <param name="takes">Who takes so many of what, for the refusal of more rows.</param>
    public static Result<OrderTable> Read(byte[] bytes, Func<string, bool> isHeader, string takes = Orders)
    {
        if (bytes.Length > LargestFile)
        {
            return new Refusal(
                "table-too-large",
                "file",
                $"A table may have up to {LargestFile / 1_000_000} MB; this one has {bytes.Length / 1e6:0.0}. Divide it."
            )
            {
                Kind = RefusalKind.TooLarge,
            };
        }
        return Read(Decoded(bytes), isHeader, takes);
    }

    /// <summary>Reads what was pasted: tabs, semicolons or commas, quotes, any line ends.</summary>
    public static Result<OrderTable> Read(string text, Func<string, bool> isHeader, string takes = Orders)
    {
        if (text.Contains('\0', StringComparison.Ordinal))
        {
            return new Refusal(
                "table-broken",
                "file",
                "That is no table of text: it holds characters that no text has."
            );
        }
        var rows = ImmutableArray.CreateBuilder<ImmutableArray<string>>();
        using var csv = CsvReader.FromText(
            text,
            new CsvReaderOptions
            {
                HasHeader = false,
                Separator = Divider(text),
                MalformedData = CsvMalformedDataHandling.Recover,
                FieldCountMismatch = CsvFieldCountHandling.Allow,
            }
        );
        while (csv.Read())
        {
            Budget.Spend(10);
            var cells = Enumerable.Range(0, csv.FieldCount).Select(csv.GetString).Select(cell => cell ?? "").ToArray();
            if (cells.All(string.IsNullOrWhiteSpace))
            {
                continue;
            }
            if (rows.Count > MostRows)
            {
                return new Refusal(
                    "table-rows",
                    "file",
                    $"{string.Format(CultureInfo.InvariantCulture, takes, MostRows)}; this table goes on after row {MostRows + 1:N0}. Bring in fewer."
                )
                {
                    Kind = RefusalKind.TooLarge,
                };
            }
            if (cells.Length > MostColumns)
            {
                return new Refusal(
                    "table-columns",
                    "file",
                    $"Row {rows.Count + 1} has {cells.Length} columns; a table may have {MostColumns}."
                );
            }
            if (Array.FindIndex(cells, cell => cell.Length > LongestCell) is >= 0 and var at)
            {
                return new Refusal(
                    "cell-too-long",
                    "file",
                    $"Row {rows.Count + 1}, column {at + 1} holds {cells[at].Length:N0} characters; a cell may have {LongestCell:N0}. "
                        + "A quote that is not closed takes in everything that follows: look there."
                );
            }
            rows.Add([.. cells.Select(Plain)]);
        }
        return Shaped(rows.ToImmutable(), isHeader);
    }

    /// <summary>Writes a table as CSV in UTF-8 with a mark, so that spreadsheets read accents; a cell that a spreadsheet would take for
    /// a formula begins with an apostrophe.</summary>
    public static byte[] Write(IEnumerable<IEnumerable<string>> rows)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (
            var csv = CsvWriter.Create(
                text,
                new CsvWriterOptions
                {
                    NewLine = "\r\n",
                    HasHeader = false,
                    ValidateFieldCount = false,
                },
                true
            )
        )
        {
            foreach (var row in rows)
            {
                csv.WriteRecord([.. row.Select(cell => IsFormula(cell) ? $"'{cell}" : cell)]);
            }
        }
        return [.. Encoding.UTF8.GetPreamble(), .. Encoding.UTF8.GetBytes(text.ToString())];
    }

    private static Result<OrderTable> Shaped(ImmutableArray<ImmutableArray<string>> rows, Func<string, bool> isHeader)
    {
        if (rows.IsEmpty)
        {
            return new Refusal("table-empty", "file", "There is nothing in this table.");
        }
        var width = rows.Max(row => row.Length);
        ImmutableArray<ImmutableArray<string>> even =
        [
            .. rows.Select(row => row.AddRange(Enumerable.Repeat("", width - row.Length))),
        ];
        var hasHeader = even[0].Any(isHeader);
        return hasHeader
            ? new OrderTable(even[0], true, even.RemoveAt(0))
            : new OrderTable([.. Enumerable.Range(1, width).Select(i => $"Column {i}")], false, even);
    }

    private static bool IsFormula(string cell) =>
        cell.Length > 0 && (FormulaSigns.Contains(cell[0], StringComparison.Ordinal) || cell[0] == '\'');

    /// <summary>A cell as text: the apostrophe goes that keeps a spreadsheet from computing it.</summary>
    private static string Plain(string cell)
    {
        var text = cell.Trim();
        return text.Length > 1 && text[0] == '\'' && IsFormula(text[1..]) ? text[1..] : text;
    }

    /// <summary>What divides cells: of tab, semicolon and comma the one that the first line has most of outside quotes.</summary>
    private static char Divider(string text)
    {
        var counts = new Dictionary<char, int>
        {
            ['\t'] = 0,
            [';'] = 0,
            [','] = 0,
        };
        var isQuoted = false;
        foreach (var c in text)
        {
            isQuoted ^= c == '"';
            if (!isQuoted && c is '\n' or '\r' && counts.Values.Any(count => count > 0))
            {
                break;
            }
            if (!isQuoted && counts.TryGetValue(c, out var count))
            {
                counts[c] = count + 1;
            }
        }
        return counts['\t'] > 0 ? '\t'
            : counts[';'] > counts[','] ? ';'
            : ',';
    }

    private static string Decoded(byte[] bytes)
    {
        if (bytes is [0xff, 0xfe, ..])
        {
            return Encoding.Unicode.GetString(bytes.AsSpan(2));
        }
        if (bytes is [0xfe, 0xff, ..])
        {
            return Encoding.BigEndianUnicode.GetString(bytes.AsSpan(2));
        }
        try
        {
            var text = new UTF8Encoding(false, true).GetString(bytes);
            return text.TrimStart('\ufeff');
        }
        catch (DecoderFallbackException)
        {
            return Encoding.GetEncoding(1252).GetString(bytes);
        }
    }
}
