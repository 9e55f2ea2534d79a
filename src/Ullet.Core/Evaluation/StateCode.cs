using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;

namespace Ullet.Core.Evaluation;

/// <summary>The short code of what is sewn: stitch files, booklet and card of one state bear the same, so that nobody sews from
/// another.</summary>
internal static class StateCode
{
    /// <summary>Letters and figures that are not taken for one another.</summary>
    private const string Signs = "23456789ABCDEFGHJKMNPQRSTUVWXYZ";

    private const int Length = 5;

    /// <summary>The hoopings with the code of all of them.</summary>
    internal static ImmutableArray<HoopingOutput> Marked(ImmutableArray<HoopingOutput> hoopings)
    {
        var code = Of(ContentHash.Combine(hoopings.Select(Hash)));
        return [.. hoopings.Select(output => output with { Program = output.Program with { Code = code } })];
    }

    private static ContentHash Hash(HoopingOutput output) =>
        ContentHash.Of(
            new
            {
                output.Program.Title,
                output.Program.FieldWidth,
                output.Program.FieldHeight,
                Threads = output.Program.Threads.Select(thread => $"{thread.Name} {thread.Colour}").ToArray(),
                Steps = output.Program.Steps.Select(step => Written(step, output)).ToArray(),
            },
            "state"
        );

    private static string Written(ProgramStep step, HoopingOutput output) =>
        step switch
        {
            ProgramStitches sewn =>
                $"{sewn.Key} {sewn.Thread} {sewn.Block} {sewn.StopAfter} {(output.StitchKeys.TryGetValue(sewn.Key, out var hash) ? hash.Hex : "")} {sewn.Commands.Length}",
            ProgramHands hands =>
                $"{hands.Key} {hands.Text} {hands.Warning} {hands.Check} {hands.Note} {hands.HoopOff}",
            _ => throw new ArgumentException($"{step.GetType().Name} has no code.", nameof(step)),
        };

    private static string Of(ContentHash hash)
    {
        var number = ulong.Parse(
            hash.Hex.AsSpan(0, 15),
            System.Globalization.NumberStyles.HexNumber,
            System.Globalization.CultureInfo.InvariantCulture
        );
        var code = new char[Length];
        for (var i = 0; i < Length; i++)
        {
            code[i] = Signs[(int)(number % (ulong)Signs.Length)];
            number /= (ulong)Signs.Length;
        }
        return new string(code);
    }
}
