using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Program;

/// <summary>A place that has a number on the picture.</summary>
/// <param name="Number">From 1; one place keeps its number through all steps.</param>
/// <param name="At">Its middle, mm.</param>
public sealed record PicturePlace(int Number, Point At);

/// <summary>Hand steps in a row that ask for the same thing at several places: one card for hands.</summary>
/// <param name="First">The number of the first of them, from 0.</param>
/// <param name="Count">How many; at least 2.</param>
/// <param name="Text">The sentence for all of them.</param>
/// <param name="Places">Where, in their order.</param>
public sealed record EqualGroup(int First, int Count, string Text, ImmutableArray<PicturePlace> Places);

/// <summary>Finds equal hand steps in a row, from the program alone.</summary>
public static partial class EqualSteps
{
    private static readonly ImmutableArray<string> Words =
    [
        "Two",
        "Three",
        "Four",
        "Five",
        "Six",
        "Seven",
        "Eight",
        "Nine",
        "Ten",
        "Eleven",
        "Twelve",
    ];

    /// <summary>All groups of a program, in its order.</summary>
    public static ImmutableArray<EqualGroup> Of(StitchProgram program)
    {
        var numbers = new Dictionary<(string, int), int>();
        var groups = ImmutableArray.CreateBuilder<EqualGroup>();
        for (var first = 0; first < program.Steps.Length; )
        {
            Budget.Spend();
            var count = 1;
            while (
                first + count < program.Steps.Length
                && program.Steps[first] is ProgramHands one
                && program.Steps[first + count] is ProgramHands other
                && Alike(one) is { } what
                && Alike(other) == what
            )
            {
                count++;
            }
            if (count > 1)
            {
                groups.Add(Group([.. program.Steps.Skip(first).Take(count).OfType<ProgramHands>()], first, numbers));
            }
            first += count;
        }
        return groups.ToImmutable();
    }

    private static EqualGroup Group(
        ImmutableArray<ProgramHands> steps,
        int first,
        Dictionary<(string, int), int> numbers
    )
    {
        var places = ImmutableArray.CreateBuilder<PicturePlace>();
        foreach (var step in steps)
        {
            var key = (step.Key.OwnerId, step.Key.Ordinal);
            if (!numbers.TryGetValue(key, out var number))
            {
                // Where orders share a hoop, their own numbers stand on the picture.
                numbers[key] = number = OrderOf(step.OwnerName) ?? numbers.Count + 1;
            }
            places.Add(new PicturePlace(number, Place(step)!.Value));
        }
        var told = NumberWords.Of([.. places.Select(place => place.Number)]);
        if (OneSheet(steps) is { } sheet)
        {
            return new EqualGroup(
                first,
                steps.Length,
                $"Once for {told} on the picture: {char.ToLowerInvariant(sheet[0])}{sheet[1..]}",
                places.ToImmutable()
            );
        }
        var count = steps.Length - 2 < Words.Length ? Words[steps.Length - 2] : $"{steps.Length}";
        var text = Plain(steps[0]);
        return new EqualGroup(
            first,
            steps.Length,
            $"{count} times, {told} on the picture: {char.ToLowerInvariant(text[0])}{text[1..]}",
            places.ToImmutable()
        );
    }

    /// <summary>The sentence for cloths that would lie over one another: one sheet is laid for all of them; null where they lie apart.
    /// Laid singly, each would be sewn into its neighbour, and no scissors could take it out again.</summary>
    private static string? OneSheet(ImmutableArray<ProgramHands> steps)
    {
        var areas = steps
            .Select(step => (step.Changes[0] as LayerLaid)?.Area)
            .OfType<ImmutableArray<Region>>()
            .ToList();
        if (areas.Count < steps.Length)
        {
            return null;
        }
        var apart = true;
        for (var i = 0; i < areas.Count && apart; i++)
        {
            for (var j = i + 1; j < areas.Count && apart; j++)
            {
                apart =
                    !Box.Of(areas[i]).Overlaps(Box.Of(areas[j]))
                    || RegionOverlay.Intersection(areas[i], areas[j]).IsEmpty;
            }
        }
        var (one, all) = (
            Box.Of(areas[0]),
            areas.Select(area => Box.Of(area)).Aggregate((known, more) => known.Union(more))
        );
        var size = $"it must be at least {LengthText.AtLeast(one.Width, one.Height)}";
        var text = Plain(steps[0]);
        return apart || !text.Contains(size, StringComparison.Ordinal)
            ? null
            : text.Replace("the placement line;", "the placement lines;", StringComparison.Ordinal)
                .Replace(
                    size,
                    $"one sheet of at least {LengthText.AtLeast(all.Width, all.Height)} covers all of them",
                    StringComparison.Ordinal
                );
    }

    /// <summary>What has to be the same in steps that are one card; null for a step that stands alone.</summary>
    private static (HandKind, bool, string, string?, string?, string)? Alike(ProgramHands step) =>
        step.Note is null && Place(step) is not null && step.OwnerName.Length > 0 && Plain(step) != step.Text
            ? (step.Kind, step.HoopOff, Plain(step), step.Warning, step.Check, FirstName(step.OwnerName))
            : null;

    /// <summary>The sentence without the name of what it is about.</summary>
    private static string Plain(ProgramHands step)
    {
        var name = Regex.Escape(step.OwnerName);
        var without = Regex.Replace(step.Text, $@" (of|for) {name}(?!\w)", "", RegexOptions.None, Patience);
        return Regex.Replace(without, $@"(?<!\w){name}(?!\w)", FirstName(step.OwnerName), RegexOptions.None, Patience);
    }

    private static readonly TimeSpan Patience = TimeSpan.FromMilliseconds(200);

    /// <summary>"Leaf" of "Leaf 3" and of "Leaf copy".</summary>
    private static string FirstName(string name) => Numbered().Replace(Ordered().Replace(name, ""), "");

    /// <summary>The order's number of "14 · Leaf", a piece of one of several orders in a hoop; null for any other.</summary>
    private static int? OrderOf(string name) =>
        Ordered().Match(name) is { Success: true } match
            ? int.Parse(match.Groups["order"].Value, CultureInfo.InvariantCulture)
            : null;

    [GeneratedRegex(@"^(?<order>\d{1,6}) · ", RegexOptions.ExplicitCapture, 200)]
    private static partial Regex Ordered();

    /// <summary>The middle of what a step lays or changes, mm; null where it is not one thing.</summary>
    private static Point? Place(ProgramHands step)
    {
        ImmutableArray<Region> area = step.Changes is [var change]
            ? change switch
            {
                LayerLaid laid => laid.Area,
                LayerTrimmed trimmed => trimmed.Area,
                LayerFolded folded => folded.Area,
                LayerOpened opened => opened.Area,
                LayerParted or LayerRemoved or WorkCutOut => [],
                _ => throw new ArgumentException($"No place is known of {change.GetType().Name}.", nameof(step)),
            }
            : [];
        return area.IsEmpty ? null : Box.Of(area).Centre;
    }

    [GeneratedRegex(@"( copy| \d{1,4})+$", RegexOptions.ExplicitCapture, 200)]
    private static partial Regex Numbered();
}
