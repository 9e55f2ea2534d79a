namespace Ullet.Files.Designs;

/// <summary>What one line of G-code says, sorted by what it is about: the letters of a line hold in ISO 6983's order, not in the one in
/// which they are written.</summary>
internal sealed class NeedleLine
{
    private readonly List<double> _ways = [];
    private readonly List<int> _switches = [];

    /// <param name="words">The letters of the line with their numbers.</param>
    internal NeedleLine(IEnumerable<(char Letter, double Number)> words)
    {
        foreach (var (letter, number) in words)
        {
            switch (letter)
            {
                case 'G':
                    _ways.Add(number);
                    break;
                case 'M':
                    _switches.Add((int)number);
                    break;
                case 'T':
                    Tool = (int)number;
                    break;
                case 'X':
                    X = number;
                    break;
                case 'Y':
                    Y = number;
                    break;
                case 'Z':
                    Z = number;
                    break;
                case 'I':
                    I = number;
                    break;
                case 'J':
                    J = number;
                    break;
                case 'R':
                    R = number;
                    break;
                case 'K' when number != 0:
                    Cannot ??= "an arc in another plane; a needle works in one plane only";
                    break;
                case 'A' or 'B' or 'C' or 'U' or 'V' or 'W' when number != 0:
                    Cannot ??= $"the axis {letter} turns or moves something that a needle has not";
                    break;
                default:
                    // Feed, speed, numbers of lines, times of pauses; other axes that rest.
                    break;
            }
        }
    }

    /// <summary>Its G words, in the order written.</summary>
    internal IReadOnlyList<double> Ways => _ways;

    /// <summary>Its M words that hold before the needle moves: it goes down, a tool is changed.</summary>
    internal IEnumerable<int> Before => _switches.Where(number => !IsAfter(number));

    /// <summary>Its M words that hold once it has moved: it is lifted, the work stops.</summary>
    internal IEnumerable<int> After => _switches.Where(IsAfter);

    /// <summary>The number of a tool; null where it names none.</summary>
    internal int? Tool { get; }

    /// <summary>The places that it names, in the file's unit; null where it names none.</summary>
    internal double? X { get; }

    internal double? Y { get; }

    internal double? Z { get; }

    /// <summary>An arc's centre.</summary>
    internal double? I { get; }

    internal double? J { get; }

    /// <summary>An arc's radius.</summary>
    internal double? R { get; }

    /// <summary>Why a needle can't do it, whatever else the line says; null where it can.</summary>
    internal string? Cannot { get; }

    /// <summary>True where it names a place in the plane.</summary>
    internal bool Goes => X is not null || Y is not null || I is not null || J is not null;

    private static bool IsAfter(int number) => number is 0 or 1 or 2 or 5 or 30 or 60;
}
