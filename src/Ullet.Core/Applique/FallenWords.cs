using System.Collections.Immutable;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>What is said of stretches that can't be sewn in strokes.</summary>
/// <param name="IsTooWide">True for rows of short stitches, false for a run.</param>
/// <param name="Count">How many stretches.</param>
/// <param name="Widest">How wide the widest is, mm.</param>
/// <param name="Narrowest">How wide the narrowest is, mm.</param>
/// <param name="Worst">The longest of them.</param>
public sealed record FallenWords(bool IsTooWide, int Count, double Widest, double Narrowest, FallenPart Worst)
{
    private string Parts => Count == 1 ? "One part" : $"{Count} parts";

    private string Verb => Count == 1 ? "is" : "are";

    private string They => Count == 1 ? "It is" : "They are";

    /// <summary>All that is to be said of an element, too wide and too narrow apart.</summary>
    /// <param name="element">Something in satin.</param>
    /// <param name="stitches">What it is sewn with.</param>
    public static ImmutableArray<FallenWords> Of(Element element, IEnumerable<StepStitches> stitches)
    {
        // A band is as wide as was asked for, and thin where it tapers.
        var isBand = element.MadeAs<SatinMaking>() is { AlongLines: true };
        return
        [
            .. stitches
                .SelectMany(step => step.Fallen)
                .Where(part => part.IsTooWide || !isBand)
                .GroupBy(part => part.IsTooWide)
                .Select(group => new FallenWords(
                    group.Key,
                    group.Count(),
                    group.Max(part => part.Width),
                    group.Min(part => part.Width),
                    group.MaxBy(part => part.Length)!
                )),
        ];
    }

    /// <summary>What is so and how it is sewn instead.</summary>
    /// <param name="name">Of what; empty where it is plain.</param>
    public string Said(string name) => name.Length > 0 ? Said(Parts + " of " + name, Verb) : Said(Parts, Verb);

    private string Said(string subject, string verb) =>
        IsTooWide
            ? $"{subject} {verb} up to {LengthText.Mm(Widest)} wide, more than strokes of {StitchDefaults.WidestColumn:0} mm hold. {They} sewn in rows of short stitches."
            : $"{subject} {verb} only {LengthText.Mm(Narrowest)} wide, too narrow for strokes. {They} sewn as a run; larger letters, a thicker font, more compensation or a single-line font look better.";
}
