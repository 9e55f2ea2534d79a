using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Makings;

/// <summary>Checks the hand steps of opened stitches.</summary>
internal static class OpenedHandsCheck
{
    internal static Refusal? Of(OpenedMaking making) =>
        making.Before.Concat(making.After).Select(Of).FirstOrDefault(no => no is not null);

    private static Refusal? Of(OpenedHands hands)
    {
        var texts = new[] { hands.Text, hands.Warning ?? "", hands.Check ?? "" };
        return texts.Any(text => text.Length > OpenedHands.LongestText)
                ? Wrong($"a text has more than {OpenedHands.LongestText:N0} characters")
            : hands.Changes.IsDefault ? Wrong("its changes of layers are missing")
            : hands.Changes.Length > OpenedHands.MostChanges
                ? Wrong($"a hand step changes more than {OpenedHands.MostChanges} layers")
            : hands.Changes.Select(OfChange).FirstOrDefault(no => no is not null);
    }

    private static Refusal? OfChange(OpenedChange change) =>
        change.Layer.Length > 40 || !change.Layer.All(c => char.IsAsciiLetterOrDigit(c) || c is '-' or '_')
            ? Wrong("the name of a layer is none")
        : change.Areas.IsDefault ? Wrong("an area is missing")
        : change.Areas.Any(area => area.Rings.IsDefaultOrEmpty || area.Rings.Any(IsBroken))
            ? Wrong("an area has fewer than three places, or a place that is none")
        : change.Areas.Sum(area => area.Rings.Sum(ring => ring.Length / 2)) > OpenedArea.MostPlaces
            ? Wrong($"an area has more than {OpenedArea.MostPlaces:N0} places")
        : null;

    private static bool IsBroken(ImmutableArray<double> ring) =>
        ring.IsDefault
        || ring.Length < 6
        || ring.Length % 2 != 0
        || ring.Any(number => !double.IsFinite(number) || Math.Abs(number) > NeedlePack.Farthest);

    private static Refusal Wrong(string why) =>
        new("opened-hands-broken", "hands", $"A hand step of opened stitches can't be used: {why}.");
}
