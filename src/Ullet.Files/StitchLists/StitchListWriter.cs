using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;

namespace Ullet.Files.StitchLists;

/// <summary>Writes a program as a stitch list.</summary>
public static class StitchListWriter
{
    /// <summary>Passes after which an outline is as sparse as it gets.</summary>
    private const int MostPasses = 12;

    /// <summary>The file as UTF-8 text with line feeds.</summary>
    public static byte[] Write(StitchProgram program)
    {
        var text = new StringBuilder();
        text.Append(StitchListFormat.Magic).Append(' ').Append(StitchListFormat.Version).Append('\n');
        if (program.Code.Length > 0)
        {
            text.Append("# state ").Append(program.Code).Append('\n');
        }
        Line(text, "title", Quoted(program.Title));
        Line(text, "hooping", Quoted(program.HoopingName));
        Line(text, "units", "mm");
        Line(text, "axes", "x-right", "y-down");
        Line(text, "origin", "field-centre");
        Line(text, "field", Number(program.FieldWidth), Number(program.FieldHeight));
        foreach (var caution in program.Cautions)
        {
            Line(text, "caution", Quoted(caution));
        }
        foreach (var thread in program.Threads)
        {
            Line(
                text,
                "thread",
                Number(thread.Number),
                thread.Colour,
                StitchListFormat.ThreadKinds[thread.Kind],
                Quoted(thread.Name)
            );
        }
        for (var i = 0; i < program.Steps.Length; i++)
        {
            switch (program.Steps[i])
            {
                case ProgramStitches stitches:
                    WriteStitches(text, i + 1, stitches);
                    break;
                case ProgramHands hands:
                    WriteHands(text, i + 1, hands);
                    break;
            }
        }
        Line(text, "end", "steps", Number(program.Steps.Length), "points", Number(program.StitchCount));
        return Encoding.UTF8.GetBytes(text.ToString());
    }

    private static void WriteStitches(StringBuilder text, int number, ProgramStitches step)
    {
        Line(
            text,
            "step",
            Number(number),
            "stitch",
            StitchListFormat.IsPlain(step.Role) ? step.Role : Quoted(step.Role),
            "key",
            step.Key.ToString(),
            "owner",
            Quoted(step.OwnerName),
            "thread",
            Number(step.Thread),
            "block",
            Number(step.Block)
        );
        NeedleRole? told = null;
        for (var i = 0; i < step.Commands.Length; i++)
        {
            var command = step.Commands[i];
            if (!step.Roles.IsEmpty && command.Kind == NeedleKind.Stitch && step.Roles[i] != told)
            {
                told = step.Roles[i];
                Line(text, "for", StitchListFormat.NeedleRoles[step.Roles[i]]);
            }
            switch (command.Kind)
            {
                case NeedleKind.Trim:
                    Line(text, "t");
                    break;
                default:
                    Line(text, command.Kind == NeedleKind.Jump ? "j" : "s", Number(command.At.X), Number(command.At.Y));
                    break;
            }
        }
        if (step.StopAfter)
        {
            Line(text, "stop");
        }
    }

    private static void WriteHands(StringBuilder text, int number, ProgramHands step)
    {
        Line(
            text,
            "step",
            Number(number),
            "hand",
            StitchListFormat.HandKinds[step.Kind],
            "key",
            step.Key.ToString(),
            "owner",
            Quoted(step.OwnerName),
            "hoop",
            step.HoopOff ? "off" : "on"
        );
        Line(text, "text", Quoted(step.Text));
        if (step.Warning is { } warning)
        {
            Line(text, "warning", Quoted(warning));
        }
        if (step.Check is { } check)
        {
            Line(text, "check", Quoted(check));
        }
        if (step.Note is { } note)
        {
            Line(text, "note", Quoted(note));
        }
        foreach (var change in step.Changes)
        {
            WriteChange(text, change);
        }
    }

    private static void WriteChange(StringBuilder text, LayerChange change)
    {
        if (change is LayerLaid laid)
        {
            var cloth = laid.Cloth;
            Line(
                text,
                "lay",
                laid.LayerId,
                Quoted(laid.Name),
                "cloth",
                cloth.Id,
                Quoted(cloth.Name),
                StitchListFormat.ClothKinds[cloth.Kind],
                StitchListFormat.Textures[cloth.Texture],
                cloth.Colour,
                cloth.PatternColour ?? "none",
                "face",
                laid.IsBeneath ? (laid.FaceUp ? "up beneath" : "down beneath")
                    : laid.FaceUp ? "up"
                    : "down",
                "role",
                StitchListFormat.Roles[laid.Role] + Slider(laid)
            );
            WriteArea(text, laid.Area);
        }
        else if (change is LayerFolded folded)
        {
            Line(text, "fold", folded.LayerId, "face", folded.FaceUp ? "up" : "down");
            WriteArea(text, folded.Area);
        }
        else if (change is LayerParted parted)
        {
            Line(
                text,
                "part",
                parted.LayerId,
                "from",
                Number(parted.From.X),
                Number(parted.From.Y),
                "to",
                Number(parted.To.X),
                Number(parted.To.Y)
            );
        }
        else if (change is WorkCutOut cut)
        {
            Line(text, "cut-out");
            WriteArea(text, cut.Area);
        }
        else if (change is LayerRemoved removed)
        {
            Line(text, "remove", removed.LayerId);
        }
        else if (change is LayerTrimmed trimmed)
        {
            Line(text, "cut-back", trimmed.LayerId);
            WriteArea(text, trimmed.Area);
        }
        else if (change is LayerOpened opened)
        {
            Line(text, "open", opened.LayerId);
            WriteArea(text, opened.Area);
        }
    }

    private static void WriteArea(StringBuilder text, ImmutableArray<Region> area)
    {
        foreach (var region in area)
        {
            WriteRing(text, "area", region.Shell);
            foreach (var hole in region.Holes)
            {
                WriteRing(text, "hole", hole);
            }
        }
    }

    private static void WriteRing(StringBuilder text, string word, Ring ring)
    {
        text.Append(word);
        foreach (var point in Settled(ring).Points)
        {
            text.Append(' ').Append(Number(point.X)).Append(',').Append(Number(point.Y));
        }
        text.Append('\n');
    }

    /// <summary>The ring as it is written, so sparse that writing it again changes nothing: what is read back comes out byte for byte.</summary>
    private static Ring Settled(Ring ring)
    {
        var settled = new Ring([.. ring.Points.Select(point => point.Rounded(StitchListFormat.Grid))]);
        for (var i = 0; i < MostPasses; i++)
        {
            Budget.Spend(1 + (settled.Points.Length / 4));
            var sparse = Sparse(settled).ToImmutableArray();
            if (sparse.Length == settled.Points.Length || sparse.Length < 3)
            {
                break;
            }
            settled = new Ring(sparse);
        }
        return settled;
    }

    /// <summary>Areas are for looking at: one point in 0.5 mm at most, and every corner.</summary>
    private static IEnumerable<Point> Sparse(Ring ring)
    {
        const double Apart = 0.5;
        var corners = ring.Corners().ToHashSet();
        Point? last = null;
        for (var i = 0; i < ring.Points.Length; i++)
        {
            if (last is null || corners.Contains(i) || ring.Points[i].DistanceTo(last.Value) >= Apart)
            {
                last = ring.Points[i];
                yield return ring.Points[i];
            }
        }
    }

    /// <summary>Where the slider is, with a space before it; nothing for what has none.</summary>
    private static string Slider(LayerLaid laid) =>
        laid.Slider is { } at ? $" slider {Number(at.X)} {Number(at.Y)}" : "";

    private static void Line(StringBuilder text, params ReadOnlySpan<string> words)
    {
        for (var i = 0; i < words.Length; i++)
        {
            text.Append(i == 0 ? "" : " ").Append(words[i]);
        }
        text.Append('\n');
    }

    private static string Number(double value)
    {
        var rounded = Math.Round(value, 2);
        return (rounded == 0 ? 0 : rounded).ToString("0.##", CultureInfo.InvariantCulture);
    }

    /// <summary>In quotation marks on one line: what ends a line or can't be seen is written by its number.</summary>
    private static string Quoted(string text)
    {
        var quoted = new StringBuilder("\"");
        foreach (var c in text)
        {
            _ = c switch
            {
                '\\' or '"' => quoted.Append('\\').Append(c),
                '\n' => quoted.Append("\\n"),
                _ when StitchListFormat.NeedsCode(c) => quoted
                    .Append("\\u")
                    .Append(((int)c).ToString("x4", CultureInfo.InvariantCulture)),
                _ => quoted.Append(c),
            };
        }
        return quoted.Append('"').ToString();
    }
}
