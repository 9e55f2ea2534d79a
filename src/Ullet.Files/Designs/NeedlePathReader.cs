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

    /// <summary>True for lines that begin as G-code does.</summary>
    internal static bool LooksLike(IReadOnlyList<string> lines)
    {
        var words = 0;
        foreach (var line in lines)
        {
            var plain = NeedlePathWords.WithoutComments(line);
            if (plain is "%" or "")
            {
                continue;
            }
            if (plain.Contains(',', StringComparison.Ordinal))
            {
                return false;
            }
            // A line that a needle can't follow is told by its number later on.
            words +=
                NeedlePathWords.Of(plain) is { } read && read.Exists(word => word.Letter is 'G' or 'M' or 'N' or 'T')
                    ? 1
                    : 0;
        }
        return words > 0;
    }

    internal static Result<StitchDesign> Read(string text, string name, OpenedReading reading)
    {
        var state = new NeedlePathMachine(reading);
        var number = 0;
        foreach (var line in text.Split('\n'))
        {
            number++;
            Budget.Spend(1 + (line.Length / 16));
            if (number > MostLines)
            {
                return Broken(number, $"up to {MostLines:N0} lines are read");
            }
            var plain = NeedlePathWords.WithoutComments(line);
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
            if (NeedlePathWords.Of(plain) is not { } words)
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
                        MmPerUnit = state.MmPerUnit,
                        IsYUp = state.IsYUp,
                    }
                )
            );
    }

    private static Refusal Broken(int line, string why) =>
        new("needle-path-broken", $"line {line}", $"This needle path can't be read: line {line}: {why}.");
}
