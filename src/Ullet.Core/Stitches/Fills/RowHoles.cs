using Ullet.Core.Projects;

namespace Ullet.Core.Stitches;

/// <summary>Where holes fall along a row.</summary>
internal static class RowHoles
{
    /// <summary>A row of a visible pattern lies so far from the last, over the stitch length.</summary>
    private const double Twill = 0.17;

    /// <summary>Rows of one block.</summary>
    private const int Block = 7;

    /// <summary>By chance a hole moves by at most this, mm; the rows of four lie farther apart.</summary>
    private const double Chance = 0.3;

    private static readonly double[] Fourth = [0, 0.5, 0.25, 0.75];

    /// <summary>True where holes of neighbours are meant to line up.</summary>
    internal static bool IsVisible(RowPattern pattern) =>
        pattern is RowPattern.Furrows or RowPattern.Hurdle or RowPattern.Rills;

    /// <summary>Where the holes of a row begin, over the stitch length, from 0 to under 1.</summary>
    internal static double Phase(RowPattern pattern, int row)
    {
        var phase = pattern switch
        {
            RowPattern.FourRows or RowPattern.Random => Fourth[Modulo(row, 4)],
            RowPattern.Brick => Modulo(row, 2) * 0.5,
            RowPattern.Twill => row * Twill,
            RowPattern.Furrows => Math.Abs(Modulo(row, 2 * Block) - Block) * 0.5 / Block,
            RowPattern.Hurdle => Modulo((int)Math.Floor(row / (double)Block), 2) * 0.5,
            RowPattern.Rills => 0.25 + (0.25 * Math.Sin(row * 2 * Math.PI / (3 * Block))),
        };
        return phase - Math.Floor(phase);
    }

    /// <summary>How far a hole is moved by chance, mm.</summary>
    internal static double Moved(RowPattern pattern, int row, int hole)
    {
        if (pattern != RowPattern.Random)
        {
            return 0;
        }
        // The same place always moves by the same: SplitMix64 (Steele, Lea, Flood, 2014).
        var mixed = unchecked(((ulong)(uint)row << 32) ^ (uint)hole) * 0x9E3779B97F4A7C15;
        mixed = unchecked((mixed ^ (mixed >> 30)) * 0xBF58476D1CE4E5B9);
        mixed = unchecked((mixed ^ (mixed >> 27)) * 0x94D049BB133111EB);
        mixed ^= mixed >> 31;
        return Chance * ((2.0 * mixed / ulong.MaxValue) - 1);
    }

    private static int Modulo(int value, int by) => ((value % by) + by) % by;
}
