using System.Collections.Immutable;
using System.Globalization;
using System.IO.Compression;
using System.Text;
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
        var text = new StringBuilder();
        while (stitches < Stitches)
        {
            foreach (var run in Sewn(letters[count], 0).Runs)
            {
                stitches += run.Points.Length;
                foreach (var point in run.Points)
                {
                    text.Append(CultureInfo.InvariantCulture, $"{run.Kind} {point.X:0.00} {point.Y:0.00}\n");
                }
            }
            count++;
        }
        var list = Encoding.UTF8.GetBytes(text.ToString());
        var gzip = Measured.Median(9, _ => Packed(list));
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

    private static void Packed(byte[] list)
    {
        using var into = new MemoryStream();
        using var gzip = new GZipStream(into, CompressionLevel.Optimal);
        gzip.Write(list);
    }
}
