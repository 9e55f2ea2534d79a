using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>Words in their room.</summary>
/// <param name="Text">With the line ends that were chosen.</param>
/// <param name="Box">The element's box: the ink of all letters.</param>
/// <param name="CapHeight">mm.</param>
/// <param name="Narrowed">Share of their width that letters have, up to 1.</param>
/// <param name="Fits">False where no allowed way was found: the smallest and narrowest that is allowed is given then.</param>
internal sealed record FittedWords(string Text, ElementBox Box, double CapHeight, double Narrowed, bool Fits)
{
    internal int Lines => Text.Count(c => c == '\n') + 1;
}

/// <summary>Finds how words of an order are set in their room: as large as is allowed, on as few lines as serve.</summary>
/// <remarks>Letters are narrowed before they are made smaller, so that the orders of one project keep one height as long as they can;
/// more lines are taken where they give letters that are noticeably higher.</remarks>
internal sealed class WordsFitter(TextForm form, FitRoom room, WordsFit rules, Func<TextForm, LaidText> lay)
{
    /// <summary>More lines must give letters so much higher.</summary>
    private const double WorthALine = 1.12;

    /// <summary>Heights of capitals go in such steps where there is room for less or more, mm.</summary>
    private const double HeightStep = 0.5;

    /// <summary>Letters are narrowed in such steps.</summary>
    private const double NarrowStep = 0.025;

    /// <summary>Steps of the search for a size within an outline.</summary>
    private const int Halvings = 14;

    /// <param name="text">What is to be set.</param>
    /// <param name="reach">How far needle points lie outside the letters, mm.</param>
    /// <param name="baseline">The baseline to keep, mm below the room's middle in its own frame; null for none.</param>
    /// <returns>Null where there is nothing to see in the words.</returns>
    internal FittedWords? Fit(string text, double reach, double? baseline)
    {
        Way? best = null;
        Way? smallest = null;
        foreach (var lines in LineBreaker.Ways(text, rules.BreaksAt, rules.MostLines))
        {
            Budget.Spend();
            var ink = lay(form with { Text = lines }).Ink;
            if (ink.IsEmpty || ink.Width < 1e-9 || ink.Height < 1e-9)
            {
                continue;
            }
            var count = lines.Count(c => c == '\n') + 1;
            var way = Sized(lines, ink, reach, count == 1 ? baseline : null);
            if (way is null)
            {
                smallest ??= Least(lines, ink, count == 1 ? baseline : null);
                continue;
            }
            if (best is null || IsBetter(way, count, best))
            {
                best = way;
            }
        }
        return (best ?? smallest)?.Words;
    }

    private static bool IsBetter(Way way, int count, Way best) =>
        way.Words.CapHeight > best.Words.CapHeight * (count > best.Words.Lines ? WorthALine : 1 + 1e-9)
        || (
            count == best.Words.Lines
            && way.Words.CapHeight > best.Words.CapHeight - 1e-9
            && way.Words.Narrowed > best.Words.Narrowed + 1e-9
        );

    /// <summary>The largest allowed size of one way to set the words; null where none fits.</summary>
    private Way? Sized(string lines, Box ink, double reach, double? baseline)
    {
        var (width, height) = (room.Box.Width - (2 * reach), room.Box.Height - (2 * reach));
        if (width <= 0 || height <= 0)
        {
            return null;
        }
        var scale = Math.Min(
            (rules.LargestHeight ?? double.PositiveInfinity) / LaidText.CapHeight,
            HeightScale(ink, height, baseline)
        );
        var narrowed = Math.Min(1, width / (ink.Width * scale));
        if (narrowed < rules.NarrowedTo)
        {
            narrowed = rules.NarrowedTo;
            scale = width / (ink.Width * narrowed);
        }
        if (scale * LaidText.CapHeight < rules.SmallestHeight - 1e-9)
        {
            return null;
        }
        (scale, narrowed) = InSteps(scale, narrowed, width / ink.Width);
        if (room.Inside is null)
        {
            return Made(lines, ink, scale, narrowed, reach, baseline, true);
        }
        return Within(lines, ink, scale, reach, baseline);
    }

    /// <summary>Heights and widths in steps, so that the orders of a series look alike, and their letters are sewn once for all of them.</summary>
    /// <param name="scale">The largest allowed size, over that at which words are laid.</param>
    /// <param name="narrowed">How far they are narrowed at it.</param>
    /// <param name="across">The largest width over that at which they are laid.</param>
    private (double Scale, double Narrowed) InSteps(double scale, double narrowed, double across)
    {
        var high = Math.Floor((scale * LaidText.CapHeight / HeightStep) + 1e-6) * HeightStep;
        if (high < rules.SmallestHeight || rules.LargestHeight - (scale * LaidText.CapHeight) < 1e-9)
        {
            return (scale, narrowed);
        }
        var stepped = high / LaidText.CapHeight;
        var wide = Math.Min(1, Math.Floor((Math.Min(1, across / stepped) / NarrowStep) + 1e-6) * NarrowStep);
        return (stepped, Math.Max(wide, rules.NarrowedTo));
    }

    private static double HeightScale(Box ink, double height, double? baseline)
    {
        if (baseline is not { } at)
        {
            return height / ink.Height;
        }
        var above = ink.MinY < 0 ? ((height / 2) + at) / -ink.MinY : double.PositiveInfinity;
        var below = ink.MaxY > 0 ? ((height / 2) - at) / ink.MaxY : double.PositiveInfinity;
        return Math.Max(0, Math.Min(above, below));
    }

    /// <summary>The largest size whose letters lie in the outline: full width is tried first at each size, then narrower.</summary>
    private Way? Within(string lines, Box ink, double scale, double reach, double? baseline)
    {
        var letters = lay(form with { Text = lines }).Letters;
        ImmutableArray<Point> edge =
        [
            .. letters.SelectMany(letter =>
                letter.Outline.Flatten().SelectMany(region => region.Rings).SelectMany(ring => ring.Points)
            ),
        ];
        var least = rules.SmallestHeight / LaidText.CapHeight;
        if (At(scale) is { } whole)
        {
            return whole;
        }
        // Smaller letters in the same middle lie within larger ones only where the outline is not hollow: every size is asked on its
        // own from the largest down, and then more closely between the last two.
        var found = Enumerable
            .Range(1, Steps)
            .Select(i => scale - ((scale - least) * i / Steps))
            .Where(size => size >= least - 1e-12)
            .Select(size => (Size: size, Way: At(size)))
            .FirstOrDefault(each => each.Way is not null);
        if (found.Way is not { } way)
        {
            return null;
        }
        var (low, high) = (found.Size, found.Size + ((scale - least) / Steps));
        for (var i = 0; i < Halvings; i++)
        {
            var middle = (low + high) / 2;
            if (At(middle) is { } larger)
            {
                (way, low) = (larger, middle);
            }
            else
            {
                high = middle;
            }
        }
        return way;

        Way? At(double size)
        {
            foreach (var narrowed in Narrowings())
            {
                if (ink.Width * size * narrowed > room.Box.Width - (2 * reach) + 1e-9)
                {
                    continue;
                }
                var made = Made(lines, ink, size, narrowed, reach, baseline, true);
                if (edge.All(point => room.Holds(made.OnWall(point), reach)))
                {
                    return made;
                }
            }
            return null;
        }
    }

    /// <summary>Sizes that are asked one after the other.</summary>
    private const int Steps = 24;

    private IEnumerable<double> Narrowings()
    {
        for (var share = 1.0; share > rules.NarrowedTo + 1e-9; share -= 0.03)
        {
            yield return share;
        }
        yield return rules.NarrowedTo;
    }

    /// <summary>What is shown of words that do not fit.</summary>
    private Way Least(string lines, Box ink, double? baseline) =>
        Made(lines, ink, rules.SmallestHeight / LaidText.CapHeight, rules.NarrowedTo, 0, baseline, false);

    private Way Made(string lines, Box ink, double scale, double narrowed, double reach, double? baseline, bool fits)
    {
        var (width, height) = (ink.Width * scale * narrowed, ink.Height * scale);
        var middle = new Point(
            rules.KeepCentred ? 0 : ((width - room.Box.Width) / 2) + reach,
            baseline is { } at ? at + (ink.Centre.Y * scale) : 0
        );
        var wall = room.OnWall(middle);
        var box = new ElementBox(wall.X, wall.Y, width, height, room.Box.Rotation);
        return new Way(
            new FittedWords(lines, box, scale * LaidText.CapHeight, narrowed, fits),
            point =>
                room.OnWall(
                    middle + new Point((point.X - ink.Centre.X) * scale * narrowed, (point.Y - ink.Centre.Y) * scale)
                )
        );
    }

    /// <param name="Words">The words as they stand.</param>
    /// <param name="OnWall">Where a point of the laid letters comes to stand.</param>
    private sealed record Way(FittedWords Words, Func<Point, Point> OnWall);
}
