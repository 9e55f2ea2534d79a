using Ullet.Core.Geometry;
using Ullet.Core.Opened;
using Ullet.Core.Projects;

namespace Ullet.Files.Designs;

/// <summary>Where the needle is, and how lines are to be taken.</summary>
internal sealed class NeedlePathMachine(OpenedReading reading)
{
    private const int MostLeftOut = 20;

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

    /// <summary>The unit as it was taken last.</summary>
    internal double MmPerUnit => _unit;

    internal bool IsYUp => _up < 0;

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
            if ((Put(OpenedMove.Jump, fromX, fromY) ?? Put(OpenedMove.Stitch, fromX, fromY)) is { } no)
            {
                return no;
            }
        }
        if (_motion == 1)
        {
            return Put(OpenedMove.Stitch, _x, _y);
        }
        return Arc(fromX, fromY, i, j, r);
    }

    private string? Arc(double fromX, double fromY, double? i, double? j, double? r)
    {
        var arc = new NeedleArc(new Point(fromX, fromY), new Point(_x, _y), _motion == 2);
        Point? middle = i is null && j is null ? null : new Point((i ?? 0) * _unit, (j ?? 0) * _unit);
        if (arc.Centre(middle, r * _unit) is not { } centre)
        {
            return "an arc has no centre and no radius";
        }
        if (!arc.IsAbout(centre))
        {
            return "an arc's ends do not lie on one circle about its centre";
        }
        foreach (var at in arc.Stepped(centre))
        {
            if (Put(OpenedMove.Stitch, at.X, at.Y) is { } no)
            {
                return no;
            }
        }
        return null;
    }

    private string? Put(OpenedMove move, double x, double y)
    {
        if (Blocks.Stitches > StitchDesign.MostPoints)
        {
            return $"more than {StitchDesign.MostPoints:N0} needle points come up to here; up to that many are opened";
        }
        var at = new Point(x, y * _up);
        if (!Blocks.Put(move, at))
        {
            return "a place lies more than 10 m from the origin; is the unit right?";
        }
        _sewn = at;
        return null;
    }
}
