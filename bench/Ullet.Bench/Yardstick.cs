using System.Globalization;
using System.IO.Compression;
using System.Text;
using Ullet.Core.Stitches;

namespace Ullet.Bench;

/// <summary>What stitches are timed against: gzip of the list of them.</summary>
internal static class Yardstick
{
    /// <summary>A line for each needle point.</summary>
    internal static byte[] List(IEnumerable<StepStitches> sewn)
    {
        var text = new StringBuilder();
        foreach (var run in sewn.SelectMany(step => step.Runs))
        {
            foreach (var point in run.Points)
            {
                text.Append(CultureInfo.InvariantCulture, $"{run.Kind} {point.X:0.00} {point.Y:0.00}\n");
            }
        }
        return Encoding.UTF8.GetBytes(text.ToString());
    }

    internal static void Gzip(byte[] list)
    {
        using var gzip = new GZipStream(Stream.Null, CompressionLevel.Optimal);
        gzip.Write(list);
    }
}
