using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Patterns;

/// <summary>Where words and motif of a patch go, mm about its middle.</summary>
/// <param name="Words">The words.</param>
/// <param name="Motif">The motif.</param>
internal sealed record PatchRooms(Box Words, Box Motif)
{
    /// <summary>Decoration keeps this far from the outline, mm.</summary>
    private const double Inside = 9;

    /// <summary>Least height that is left for words, mm.</summary>
    internal const double LeastWords = 5;

    /// <summary>Least side of what is left for the motif, mm: smaller ones have parts that no cover holds.</summary>
    internal const double LeastMotif = 12;

    /// <summary>True when both have room.</summary>
    internal bool IsEnough => Share >= 1;

    /// <summary>What there is over what is needed, of what is scarcer.</summary>
    private double Share => Math.Min(Words.Height / LeastWords, Math.Min(Motif.Width, Motif.Height) / LeastMotif);

    /// <summary>The first layout with room enough, else the roomiest.</summary>
    internal static PatchRooms Of(SeamForm form)
    {
        var inner = form.Grown(-Inside);
        var box = inner.Bounds;
        var split = box.MinY + (box.Height * 0.36);
        var whole = inner.Room(box.MinY, box.MaxY);
        var shared = whole.MinY + (whole.Height * 0.36);
        ImmutableArray<PatchRooms> layouts =
        [
            // Words in the upper part, the motif below them.
            new(inner.Room(box.MinY, split), inner.Room(split + 4, box.MaxY)),
            // A form that is pointed above: the words go across its middle, the motif above them.
            new(inner.Room(box.Centre.Y + 2, box.MaxY), inner.Room(box.MinY, box.Centre.Y - 2)),
            // A small one: one room for both.
            new(whole with { MaxY = shared - 1 }, whole with { MinY = shared + 1 }),
        ];
        return layouts.FirstOrDefault(layout => layout.IsEnough) ?? layouts.MaxBy(layout => layout.Share)!;
    }

    /// <summary>The places of one of several patches.</summary>
    /// <param name="middle">The patch's middle, mm from the field's centre.</param>
    /// <param name="number">Which, from 0.</param>
    internal IEnumerable<FillInPlace> Places(Point middle, int number)
    {
        var suffix = number == 0 ? "" : $"-{number + 1}";
        var cloth = HarvestPatch.Ground.Id;
        yield return new FillInPlace("motif", $"p-motif{suffix}", Motif.Moved(middle.X, middle.Y), cloth);
        yield return new FillInPlace("words", $"p-words{suffix}", Words.Moved(middle.X, middle.Y), cloth);
    }
}
