using System.Globalization;
using Ullet.Core.Geometry;
using Ullet.Core.Opened;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Files.Designs;

/// <summary>Reads needle or pen paths from G-code (ISO 6983): lines and arcs, lifts, pauses, tool changes, units.</summary>
/// <remarks>The needle is down where z is not above 0, or after M3; a move in the air, or by G0, is a jump. Arcs are stepped, as is a line
/// longer than a stitch can be. The y axis grows upwards. What a mill knows and a needle does not (other planes, cycles, macros,
/// compensation) is refused with its line.</remarks>
internal static class NeedlePathReader
{
    /// <summary>Most lines.</summary>
    private const int MostLines = 3_000_000;

    /// <summary>Stitches that an arc is stepped into are no longer, mm.</summary>
    private const double ArcStep = 1.5;

    private const int MostArcSteps = 20_000;

    private const int MostLeftOut = 20;

    /// <summary>True for lines that begin as G-code does.</summary>
    internal static bool LooksLike(IReadOnlyList<string> lines)
    {
        var words = 0;
        foreach (var line in lines)
        {
            var plain = WithoutComments(line);
            if (plain is "%" or "")
            {
                continue;
            }
            if (plain.Contains(',', StringComparison.Ordinal))
            {
                return false;
            }
            // A line that a needle can't follow is told by its number later on.
            words += Words(plain) is { } read && read.Exists(word => word.Letter is 'G' or 'M' or 'N' or 'T') ? 1 : 0;
        }
        return words > 0;
    }

    internal static Result<StitchDesign> Read(string text, string name, OpenedReading reading)
    {
        var state = new Machine(reading);
        var number = 0;
        foreach (var line in text.Split('\n'))
        {
            number++;
            Budget.Spend(1 + (line.Length / 16));
            if (number > MostLines)
            {
                return Broken(number, $"up to {MostLines:N0} lines are read");
            }
            var plain = WithoutComments(line);
            if (plain.Length == 0 || plain == "%")
            {
                continue;
            }
            if (plain[0] is '#' or 'O' or 'o' || plain.Contains('[', StringComparison.Ordinal))
            {
                return Broken(
                    number,
                    "it calls a macro or computes a number, which a needle path does not do; write the places out"
                );
            }
            if (Words(plain) is not { } words)
            {
                return Broken(number, $"\"{(plain.Length > 40 ? plain[..40] + "…" : plain)}\" is no line of G-code");
            }
            if (state.Do(words) is { } why)
            {
                return Broken(number, why);
            }
            state.Say(number);
        }
        return state
            .Blocks.Design(name)
            .Then(design =>
                (Result<StitchDesign>)(
                    design with
                    {
                        LeftOut = [.. state.LeftOut],
                        SaysUnit = state.SaysUnit,
                        SaysAxes = false,
                    }
                )
            );
    }

    private static string WithoutComments(string line)
    {
        var plain = line.Trim();
        if (plain.IndexOf(';') is >= 0 and var at)
        {
            plain = plain[..at];
        }
        while (plain.IndexOf('(') is >= 0 and var open)
        {
            var close = plain.IndexOf(')', open);
            plain = close < 0 ? plain[..open] : plain[..open] + plain[(close + 1)..];
        }
        return plain.Trim();
    }

    /// <summary>The letters of a line with their numbers; null for a line that is none.</summary>
    private static List<(char Letter, double Number)>? Words(string line)
    {
        var words = new List<(char, double)>();
        var at = 0;
        while (at < line.Length)
        {
            if (char.IsWhiteSpace(line[at]))
            {
                at++;
                continue;
            }
            var letter = char.ToUpperInvariant(line[at++]);
            if (!char.IsAsciiLetterUpper(letter))
            {
                return null;
            }
            while (at < line.Length && line[at] == ' ')
            {
                at++;
            }
            var from = at;
            while (at < line.Length && (char.IsAsciiDigit(line[at]) || line[at] is '.' or '-' or '+'))
            {
                at++;
            }
            if (
                !double.TryParse(
                    line.AsSpan(from, at - from),
                    NumberStyles.Float,
                    CultureInfo.InvariantCulture,
                    out var number
                ) || !double.IsFinite(number)
            )
            {
                return null;
            }
            words.Add((letter, number));
        }
        return words;
    }

    private static Refusal Broken(int line, string why) =>
        new("needle-path-broken", $"line {line}", $"This needle path can't be read: line {line}: {why}.");

    /// <summary>Where the needle is, and how lines are to be taken.</summary>
    private sealed class Machine(OpenedReading reading)
    {
        private readonly double _up = reading.IsYUp ?? true ? -1 : 1;
        private double _unit = reading.MmPerUnit ?? 1;
        private bool _isRelative;
        private bool _isDown;
        private bool _knowsHeight;
        private int _motion;
        private int _tool = 1;
        private double _x;
        private double _y;
        private Point? _sewn;
        private readonly List<string> _waiting = [];

        internal DesignBlocks Blocks { get; } = new();

        internal List<string> LeftOut { get; } = [];

        internal bool SaysUnit { get; private set; }

        /// <summary>Notes what a line said that is left aside.</summary>
        internal void Say(int line)
        {
            foreach (var words in _waiting)
            {
                if (
                    LeftOut.Count < MostLeftOut
                    && !LeftOut.Exists(known => known.EndsWith(words, StringComparison.Ordinal))
                )
                {
                    LeftOut.Add($"Line {line}: {words}");
                }
            }
            _waiting.Clear();
        }

        /// <summary>Does what a line says; why it can't, or null.</summary>
        internal string? Do(List<(char Letter, double Number)> words)
        {
            double? x = null,
                y = null,
                z = null,
                i = null,
                j = null,
                r = null;
            int? motion = null;
            foreach (var (letter, number) in words)
            {
                switch (letter)
                {
                    case 'G':
                        if (Way(number, ref motion) is { } why)
                        {
                            return why;
                        }
                        break;
                    case 'M':
                        if (Switch((int)number) is { } no)
                        {
                            return no;
                        }
                        break;
                    case 'T':
                        Tool((int)number);
                        break;
                    case 'X':
                        x = number;
                        break;
                    case 'Y':
                        y = number;
                        break;
                    case 'Z':
                        z = number;
                        break;
                    case 'I':
                        i = number;
                        break;
                    case 'J':
                        j = number;
                        break;
                    case 'R':
                        r = number;
                        break;
                    case 'K':
                        return "an arc in another plane; a needle works in one plane only";
                    case 'A' or 'B' or 'C' or 'U' or 'V' or 'W':
                        return $"the axis {letter} turns or moves something that a needle has not";
                    default:
                        // Feed, speed, numbers of lines, times of pauses.
                        break;
                }
            }
            _motion = motion ?? _motion;
            if (z is { } height)
            {
                _isDown = height <= 0;
                _knowsHeight = true;
            }
            return x is null && y is null && i is null && j is null ? null : Move(x, y, i, j, r);
        }

        private string? Way(double number, ref int? motion)
        {
            switch (number)
            {
                case 0 or 1 or 2 or 3:
                    motion = (int)number;
                    return null;
                case 20:
                    (_unit, SaysUnit) = (25.4, true);
                    return null;
                case 21:
                    (_unit, SaysUnit) = (1, true);
                    return null;
                case 90:
                    _isRelative = false;
                    return null;
                case 91:
                    _isRelative = true;
                    return null;
                case 4:
                    Blocks.Stop();
                    return null;
                case 18 or 19:
                    return $"G{number:0} works in another plane; a needle works in one plane only";
                case 41 or 42:
                    return "compensation of a tool's radius; a needle has none";
                case >= 73 and <= 89 and not 80:
                    return $"G{number:0} is a cycle of a drill or a mill";
                default:
                    if (number is not (17 or 40 or 49 or 54 or 80 or 94 or 28 or 61 or 64 or 90.1 or 91.1))
                    {
                        _waiting.Add($"G{number:0.#} is left aside.");
                    }
                    return null;
            }
        }

        private string? Switch(int number)
        {
            switch (number)
            {
                case 0 or 1 or 60:
                    Blocks.Stop();
                    return null;
                case 3 or 4:
                    (_isDown, _knowsHeight) = (true, true);
                    return null;
                case 5:
                    (_isDown, _knowsHeight) = (false, true);
                    Lift();
                    return null;
                case 2 or 30:
                    Lift();
                    return null;
                case 98:
                    return "M98 calls a macro, which can't be followed; write the places out";
                case 6 or 7 or 8 or 9:
                    return null;
                default:
                    _waiting.Add($"M{number} is left aside.");
                    return null;
            }
        }

        private void Tool(int number)
        {
            if (number != _tool)
            {
                Lift();
                _tool = number;
                _sewn = null;
            }
        }

        private void Lift()
        {
            if (_sewn is not null)
            {
                Blocks.Trim();
                _sewn = null;
            }
        }

        private string? Move(double? x, double? y, double? i, double? j, double? r)
        {
            var (fromX, fromY) = (_x, _y);
            _x = x is { } across ? (_isRelative ? _x : 0) + (across * _unit) : _x;
            _y = y is { } down ? (_isRelative ? _y : 0) + (down * _unit) : _y;
            var sews = _motion > 0 && (_isDown || !_knowsHeight);
            if (!sews)
            {
                Lift();
                return null;
            }
            if (_sewn is null)
            {
                Blocks.Go($"{_tool}", $"{_tool}");
                if (!Put(OpenedMove.Jump, fromX, fromY) || !Put(OpenedMove.Stitch, fromX, fromY))
                {
                    return TooFar;
                }
            }
            if (_motion == 1)
            {
                return Put(OpenedMove.Stitch, _x, _y) ? null : TooFar;
            }
            return Arc(fromX, fromY, i, j, r);
        }

        private const string TooFar = "a place lies more than 10 m from the origin; is the unit right?";

        private string? Arc(double fromX, double fromY, double? i, double? j, double? r)
        {
            var (from, to) = (new Point(fromX, fromY), new Point(_x, _y));
            Point centre;
            if (i is not null || j is not null)
            {
                centre = from + new Point((i ?? 0) * _unit, (j ?? 0) * _unit);
            }
            else if (r is { } radius && from.DistanceTo(to) is > 1e-9 and var chord)
            {
                var size = Math.Max(Math.Abs(radius * _unit), chord / 2);
                var high = Math.Sqrt(Math.Max(0, (size * size) - (chord * chord / 4)));
                var way = (to - from).Unit();
                var side = (_motion == 2) == (radius > 0) ? -1 : 1;
                centre = Point.Lerp(from, to, 0.5) + (new Point(-way.Y, way.X) * (high * side));
            }
            else
            {
                return "an arc has no centre and no radius";
            }
            var reach = from.DistanceTo(centre);
            if (reach < 1e-6 || Math.Abs(to.DistanceTo(centre) - reach) > Math.Max(0.5, reach * 0.02))
            {
                return "an arc's ends do not lie on one circle about its centre";
            }
            var (start, end) = (
                Math.Atan2(from.Y - centre.Y, from.X - centre.X),
                Math.Atan2(to.Y - centre.Y, to.X - centre.X)
            );
            var sweep = _motion == 2 ? start - end : end - start;
            sweep = sweep <= 1e-9 ? sweep + (2 * Math.PI) : sweep;
            var steps = (int)
                Math.Clamp(Math.Ceiling(sweep * reach / ArcStep), Math.Ceiling(sweep / 0.35), MostArcSteps);
            for (var k = 1; k <= steps; k++)
            {
                Budget.Spend();
                var angle = start + ((_motion == 2 ? -1 : 1) * sweep * k / steps);
                var at = k == steps ? to : centre + (new Point(Math.Cos(angle), Math.Sin(angle)) * reach);
                if (!Put(OpenedMove.Stitch, at.X, at.Y))
                {
                    return TooFar;
                }
            }
            return null;
        }

        private bool Put(OpenedMove move, double x, double y)
        {
            var at = new Point(x, y * _up);
            if (Blocks.Stitches > StitchDesign.MostPoints * 2 || !Blocks.Put(move, at))
            {
                return false;
            }
            _sewn = at;
            return true;
        }
    }
}
