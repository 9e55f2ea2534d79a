using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using CsvHelper;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;

namespace Ullet.Files.StitchFiles;

/// <summary>Stitches as a table, one command a row: step, block, command, x, y, thread; docs/formats/stitches-csv.md.</summary>
internal sealed class CsvStitchFile : IStitchFormat
{
    /// <summary>Largest file taken, bytes.</summary>
    private const int LargestFile = 60_000_000;

    /// <summary>No place lies farther away, mm.</summary>
    private const double MostMm = 10_000;

    private const string Stop = "stop";

    private static readonly string[] Columns = ["step", "block", "command", "x", "y", "thread"];

    private static readonly FrozenDictionary<string, NeedleKind> Commands = new Dictionary<string, NeedleKind>
    {
        ["stitch"] = NeedleKind.Stitch,
        ["jump"] = NeedleKind.Jump,
        ["trim"] = NeedleKind.Trim,
    }.ToFrozenDictionary(StringComparer.Ordinal);

    private static readonly FrozenDictionary<NeedleKind, string> Words = Commands.ToFrozenDictionary(
        pair => pair.Value,
        pair => pair.Key
    );

    private static readonly CsvReaderOptions Options = new() { HasHeader = false };

    public string Ending => "csv";

    public string MediaType => "text/csv; charset=utf-8";

    public string Name => "table of stitches";

    public string About => "Every needle command in a row of its own, for a spreadsheet; without hand steps";

    public byte[] Write(StitchProgram program)
    {
        var text = new StringBuilder();
        Row(text, Columns);
        foreach (var step in SewnStep.Of(program))
        {
            foreach (var command in step.Commands)
            {
                Budget.Spend();
                var isPlace = command.Kind is not NeedleKind.Trim;
                Row(
                    text,
                    Whole(step.Step),
                    Whole(step.Block),
                    Words[command.Kind],
                    isPlace ? Place(command.At.X) : "",
                    isPlace ? Place(command.At.Y) : "",
                    Whole(step.Thread)
                );
            }
            if (step.StopAfter)
            {
                Row(text, Whole(step.Step), Whole(step.Block), Stop, "", "", Whole(step.Thread));
            }
        }
        return Encoding.UTF8.GetBytes(text.ToString());
    }

    public Result<ImmutableArray<SewnStep>> Read(ReadOnlySpan<byte> file)
    {
        if (file.Length > LargestFile)
        {
            return Broken(1, $"it has {file.Length / 1e6:0} MB; up to {LargestFile / 1e6:0} MB are read");
        }
        using var csv = CsvReader.FromText(Encoding.UTF8.GetString(file).TrimStart('\uFEFF'), Options);
        try
        {
            return Read(csv);
        }
        catch (CsvFormatException)
        {
            return Broken(csv.RowNumber, "its quotation marks do not close, or it is no row of six columns");
        }
    }

    private static Result<ImmutableArray<SewnStep>> Read(CsvReader csv)
    {
        if (
            !csv.Read()
            || csv.FieldCount != Columns.Length
            || !Columns.Select((name, i) => csv.GetString(i) == name).All(same => same)
        )
        {
            return new Refusal(
                "stitch-table-foreign",
                "row 1",
                $"This is not a table of stitches: its first row should be {string.Join(",", Columns)}."
            );
        }
        var steps = ImmutableArray.CreateBuilder<SewnStep>();
        var commands = ImmutableArray.CreateBuilder<NeedleCommand>();
        (int Step, int Block, int Thread)? open = null;
        void Close(bool stops)
        {
            if (open is { } step)
            {
                steps.Add(new SewnStep(step.Step, step.Block, step.Thread, stops, commands.ToImmutable()));
                commands.Clear();
                open = null;
            }
        }
        while (csv.Read())
        {
            Budget.Spend();
            var row = csv.RowNumber;
            if (csv.FieldCount != Columns.Length)
            {
                return Broken(row, $"it has {csv.FieldCount} columns in the place of {Columns.Length}");
            }
            if (
                WholeOf(csv, 0) is not { } step
                || WholeOf(csv, 1) is not { } block
                || WholeOf(csv, 5) is not { } thread
            )
            {
                return Broken(row, "step, block and thread are whole numbers from 1");
            }
            if (open is { } before && before != (step, block, thread))
            {
                Close(stops: false);
            }
            if (steps.Count > 0 && (step, block).CompareTo((steps[^1].Step, steps[^1].Block)) < 0)
            {
                return Broken(row, "steps and blocks only rise");
            }
            open = (step, block, thread);
            var (word, x, y) = (csv.GetString(2), csv.GetString(3), csv.GetString(4));
            if (word == Stop)
            {
                Close(stops: true);
                continue;
            }
            if (!Commands.TryGetValue(word, out var kind))
            {
                return Broken(row, $"\"{word}\" is none of {string.Join(", ", Commands.Keys)}, {Stop}");
            }
            if (kind == NeedleKind.Trim)
            {
                commands.Add(new NeedleCommand(kind, commands.Count > 0 ? commands[^1].At : Point.Zero));
                continue;
            }
            if (PlaceOf(x) is not { } atX || PlaceOf(y) is not { } atY)
            {
                return Broken(row, $"\"{x}\" and \"{y}\" are no place in mm");
            }
            commands.Add(new NeedleCommand(kind, new Point(atX, atY)));
        }
        Close(stops: false);
        return steps.ToImmutable();
    }

    /// <summary>One row; numbers and the words of commands need no quotation marks.</summary>
    private static void Row(StringBuilder text, params ReadOnlySpan<string> fields) =>
        text.AppendJoin(',', fields).Append('\n');

    private static string Whole(int number) => number.ToString(CultureInfo.InvariantCulture);

    private static string Place(double mm)
    {
        var rounded = Math.Round(mm, 2);
        return (rounded == 0 ? 0 : rounded).ToString("0.##", CultureInfo.InvariantCulture);
    }

    private static int? WholeOf(CsvReader csv, int column) =>
        int.TryParse(csv.GetString(column), NumberStyles.None, CultureInfo.InvariantCulture, out var number)
        && number > 0
            ? number
            : null;

    private static double? PlaceOf(string text) => Measure.Read(text) is { } mm && Math.Abs(mm) <= MostMm ? mm : null;

    private static Refusal Broken(long row, string why) =>
        new("stitch-table-broken", $"row {row}", $"This table of stitches can't be read: row {row}: {why}.");
}
