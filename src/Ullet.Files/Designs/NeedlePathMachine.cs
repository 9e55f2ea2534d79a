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
    private double _originX;
    private double _originY;
    private bool _isCentrePlace;
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
        var line = new NeedleLine(words);
        var takes = PlacesTaken.AsMove;
        var why = line.Cannot;
        foreach (var way in line.Ways)
        {
            why ??= Way(way, ref takes);
        }
        foreach (var number in line.Before)
        {
            why ??= Switch(number);
        }
        if (why is not null)
        {
            return why;
        }
        if (line.Tool is { } tool)
        {
            Tool(tool);
        }
        if (line.Z is { } height && takes == PlacesTaken.AsMove)
        {
            _isDown = height <= 0;
            _knowsHeight = true;
        }
        why = Places(line, takes);
        foreach (var number in line.After)
        {
            why ??= Switch(number);
        }
        return why;
    }

    /// <summary>What a line does with the places that it names.</summary>
    private string? Places(NeedleLine line, PlacesTaken taken)
    {
        switch (taken)
        {
            case PlacesTaken.AsMove:
                return line.Goes ? Move(line) : null;
            case PlacesTaken.AsOrigin:
                _originX = line.X is { } x ? _x - (x * _unit) : _originX;
                _originY = line.Y is { } y ? _y - (y * _unit) : _originY;
                return null;
            case PlacesTaken.AsWayHome:
                Lift();
                (_x, _y) = Aim(line);
                return null;
            case PlacesTaken.Not:
                return null;
            default:
                throw new InvalidOperationException($"{taken} is no way of taking places.");
        }
    }

    /// <summary>The place that a line names, mm.</summary>
    private (double X, double Y) Aim(NeedleLine line) =>
        (
            line.X is { } x ? (_isRelative ? _x : _originX) + (x * _unit) : _x,
            line.Y is { } y ? (_isRelative ? _y : _originY) + (y * _unit) : _y
        );

    private string? Way(double number, ref PlacesTaken takes)
    {
        switch (number)
        {
            case 0 or 1 or 2 or 3:
                _motion = (int)number;
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
                // Its numbers are times.
                Stop();
                takes = PlacesTaken.Not;
                return null;
            case 28 or 30:
                takes = PlacesTaken.AsWayHome;
                return null;
            case 92:
                takes = PlacesTaken.AsOrigin;
                return null;
            case 92.1 or 92.2:
                (_originX, _originY) = (0, 0);
                takes = PlacesTaken.Not;
                return null;
            case 90.1 or 91.1:
                _isCentrePlace = number < 91;
                return null;
            case 10 or 52:
                takes = PlacesTaken.Not;
                _waiting.Add($"G{number:0} sets another origin and is left aside.");
                return null;
            case 18 or 19:
                return $"G{number:0} works in another plane; a needle works in one plane only";
            case 41 or 42:
                return "compensation of a tool's radius; a needle has none";
            case >= 73 and <= 89 and not 80:
                return $"G{number:0} is a cycle of a drill or a mill";
            default:
                if (number is not (17 or 40 or 49 or 53 or 54 or 61 or 64 or 80 or 94))
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
                Stop();
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

    /// <summary>What comes after a stop is a block of its own: it begins where the needle is.</summary>
    private void Stop()
    {
        Blocks.Stop();
        _sewn = null;
    }

    private void Lift()
    {
        if (_sewn is not null)
        {
            Blocks.Trim();
            _sewn = null;
        }
    }

    private string? Move(NeedleLine line)
    {
        var (fromX, fromY) = (_x, _y);
        (_x, _y) = Aim(line);
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
        return Arc(fromX, fromY, line);
    }

    private string? Arc(double fromX, double fromY, NeedleLine line)
    {
        var arc = new NeedleArc(new Point(fromX, fromY), new Point(_x, _y), _motion == 2);
        if (arc.Centre(Middle(fromX, fromY, line), line.R * _unit) is not { } centre)
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

    /// <summary>From an arc's beginning to its centre, mm; null where the line does not say so.</summary>
    private Point? Middle(double fromX, double fromY, NeedleLine line)
    {
        if (line.I is null && line.J is null)
        {
            return null;
        }
        return _isCentrePlace
            ? new Point(
                line.I is { } x ? _originX + (x * _unit) - fromX : 0,
                line.J is { } y ? _originY + (y * _unit) - fromY : 0
            )
            : new Point((line.I ?? 0) * _unit, (line.J ?? 0) * _unit);
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

    /// <summary>What the places of a line are to the needle.</summary>
    private enum PlacesTaken
    {
        /// <summary>It goes there.</summary>
        AsMove,

        /// <summary>The place where it is has these numbers from here on.</summary>
        AsOrigin,

        /// <summary>It is lifted and goes by there.</summary>
        AsWayHome,

        /// <summary>None: they are times, or belong to what is left aside.</summary>
        Not,
    }
}
