using System.Collections.Immutable;
using Ullet.Core.Projects;

namespace Ullet.Core.Patterns;

/// <summary>What keeps cloths still in a pattern until they are sewn on.</summary>
/// <param name="Id">The option.</param>
/// <param name="OnStabiliser">How a cloth is held that lies on the stabiliser, a sentence.</param>
/// <param name="OnCloth">How a cloth is held that lies on another, a sentence.</param>
internal sealed record PatternHold(string Id, string OnStabiliser, string OnCloth)
{
    /// <summary>True where a cloth on the stabiliser is held with tape at its corners.</summary>
    internal bool TapesOnStabiliser => this == Tape || this == Baste;

    /// <summary>True where a cloth on another is held so.</summary>
    internal bool TapesOnCloth => this != Spray;

    internal const string ChoiceId = "held";

    private const string Taped = "Tape its corners.";
    private const string Sprayed = "Smooth it on from the middle outwards.";

    internal static readonly PatternHold Tape = new("tape", Taped, Taped);
    internal static readonly PatternHold Spray = new("spray", Sprayed, Sprayed);
    internal static readonly PatternHold Sticky = new(
        "sticky",
        "Smooth it onto the sticky stabiliser from the middle outwards.",
        Taped
    );
    internal static readonly PatternHold Baste = new(
        "baste",
        "Tape its corners; the basting sewn next holds it.",
        Taped
    );

    private static readonly ImmutableArray<(PatternHold Hold, PatternOption Option)> Options =
    [
        (Tape, new PatternOption(Tape.Id, "tape")),
        (
            Spray,
            new PatternOption(Spray.Id, "basting spray")
            {
                Sentence = "Sprayed away from the machine; what lies right sides together is taped all the same.",
            }
        ),
        (
            Sticky,
            new PatternOption(Sticky.Id, "sticky stabiliser")
            {
                Sentence = "What lies on the stabiliser sticks to it; what lies on cloth is taped.",
            }
        ),
        (
            Baste,
            new PatternOption(Baste.Id, "basting box")
            {
                Sentence = "Long stitches round everything; they are drawn out once the cloth is tacked down.",
            }
        ),
    ];

    /// <summary>The choice, with the ways that a pattern knows; the first is the usual one.</summary>
    internal static PatternChoice Choice(params ImmutableArray<PatternHold> offered) =>
        new(
            ChoiceId,
            "Held by",
            offered[0].Id,
            [.. offered.Select(hold => Options.First(row => row.Hold == hold).Option)]
        );

    internal static PatternHold Of(PatternNumbers numbers) =>
        Options.First(row => row.Hold.Id == numbers.Choice(ChoiceId)).Hold;

    /// <summary>What is done with a cloth before it is laid, with a space after it; nothing for most.</summary>
    internal string Before(Cloth cloth) => this == Spray ? HoldingTable.Spraying(cloth.Name) : "";

    /// <summary>The stabiliser in the kind that it asks for.</summary>
    internal Cloth Of(Cloth stabiliser, Cloth sticky) => this == Sticky ? sticky : stabiliser;

    /// <summary>What is done with the stabiliser once it is hooped, with a space before it; nothing for most.</summary>
    internal string Hooping =>
        this == Sticky ? " Its paper lies up: score it inside the ring without cutting through, and peel it off." : "";
}
