using System.Collections.Immutable;
using System.Globalization;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Server.Scenes;

/// <summary>Whether the work can be turned, in words and as a cut through its layers.</summary>
/// <param name="Key">The step at which it is turned.</param>
/// <param name="Answer">How its right side comes to lie outside.</param>
/// <param name="Words">The same in a sentence.</param>
/// <param name="Section">A cut through the layers along the way; null without a way.</param>
public sealed record TurningDto(string Key, TurningAnswer Answer, string Words, TurningSectionDto? Section)
{
    internal static TurningDto? Of(TurningReport? turning, StepKey? step) =>
        turning is null || step is not { } key
            ? null
            : new TurningDto(key.ToString(), turning.Answer, WordsOf(turning), TurningSectionDto.Of(turning.Section));

    private static string WordsOf(TurningReport turning) =>
        turning.Answer switch
        {
            TurningAnswer.AlreadyOutside => "Its right side lies outside already: there is nothing to turn.",
            TurningAnswer.Through when double.IsFinite(turning.Width) =>
                $"It turns {turning.WayWords}. The narrowest place of that way is {turning.Width:0} mm wide.",
            TurningAnswer.Through => $"It turns {turning.WayWords}.",
            TurningAnswer.ClosedOff =>
                $"It can't be turned: nothing leads to the right side of the {turning.LayerName.ToLowerInvariant()}.",
            _ => throw new ArgumentException($"No words for {turning.Answer}.", nameof(turning)),
        };
}

/// <summary>A cut through layers; mm along it.</summary>
/// <param name="Length">How long it is.</param>
/// <param name="Layers">The layers it meets, the topmost first.</param>
/// <param name="Way">The way from outside as SVG path data: across in mm, down in layers from 0.</param>
public sealed record TurningSectionDto(double Length, ImmutableArray<SectionLayerDto> Layers, string Way)
{
    internal static TurningSectionDto? Of(TurningSection? section) =>
        section is null
            ? null
            : new TurningSectionDto(
                section.Length,
                [
                    .. section
                        .Layers.Reverse()
                        .Select(layer => new SectionLayerDto(
                            layer.Name,
                            layer.Role,
                            layer.FaceUp,
                            [.. layer.Runs.Select(run => new SectionRunDto(run.From, run.To))]
                        )),
                ],
                Path(section)
            );

    private static string Path(TurningSection section) =>
        string.Concat(
            section.Way.Select(
                (place, i) =>
                    string.Create(
                        CultureInfo.InvariantCulture,
                        $"{(i == 0 ? "M" : "L")}{place.Along:0.#} {section.Layers.Length - 1 - place.Height:0.##}"
                    )
            )
        );
}

/// <summary>A layer of a cut.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Role">What it is to the finished thing.</param>
/// <param name="FaceUp">Which face is up.</param>
/// <param name="Runs">Where the cut meets it.</param>
public sealed record SectionLayerDto(string Name, LayerRole Role, bool FaceUp, ImmutableArray<SectionRunDto> Runs);

/// <summary>A stretch of a cut, mm along it.</summary>
public sealed record SectionRunDto(double From, double To);
