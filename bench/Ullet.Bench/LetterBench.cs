using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Bench;

/// <summary>Letters in satin against gzip of the list of their stitches, and how that grows.</summary>
internal static class LetterBench
{
    private const int Stitches = 60_000;

    private const double CapHeight = 20;

    private static readonly ColumnNumbers Usual = new(0.40, 0.2);

    internal static IEnumerable<Ratio> Run()
    {
        var letters = QualitySamples
            .Fonts(CapHeight)
            .GroupBy(letter => letter.Name.Split(' ')[1], StringComparer.Ordinal)
            .SelectMany(same => same)
            .Select(letter => letter.Regions.ToImmutableArray())
            .ToList();
        var (count, stitches) = (0, 0);
        var sewn = new List<StepStitches>();
        while (stitches < Stitches)
        {
            sewn.Add(Sewn(letters[count], 0));
            stitches += sewn[^1].PointCount;
            count++;
        }
        var list = Yardstick.List(sewn);
        var gzip = Measured.Median(9, _ => Yardstick.Gzip(list));
        // A little larger each time: none is known from the round before.
        var round = 0;
        var fresh = Measured.Median(3, _ => All(letters, count, ++round), warmUp: 1);
        yield return new Ratio(
            $"{Stitches:N0} stitches of distinct letters against 4 × gzip",
            fresh,
            4 * gzip,
            IsAim: true
        );
        var again = Measured.Median(5, _ => All(letters, count, round), warmUp: 1);
        yield return new Ratio("the same letters again against gzip", again, gzip);
        var few = Measured.Median(20, _ => All(letters, Math.Max(1, count / 100), ++round));
        yield return new Ratio("a hundred times the letters against 120 times the time", fresh, 120 * few);
    }

    private static void All(List<ImmutableArray<Region>> letters, int count, int round)
    {
        for (var i = 0; i < count; i++)
        {
            Sewn(letters[i], round);
        }
    }

    private static StepStitches Sewn(ImmutableArray<Region> letter, int round) =>
        SatinColumns.Make(
            letter,
            Usual with
            {
                Compensation = Usual.Compensation + (round * 1e-4),
            },
            ColumnWork.Plain,
            CancellationToken.None
        );
}
