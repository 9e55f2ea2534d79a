using System.Globalization;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Takes a project's own threads for those of a clip where they look nearly alike.</summary>
internal static class NearThreads
{
    /// <summary>Colours whose parts differ by no more than this of 255 together look alike beside each other.</summary>
    private const double Near = 40;

    /// <summary>The clip with the project's threads in the place of near ones of the same kind.</summary>
    internal static Clip In(Project project, Clip clip) =>
        clip with
        {
            Threads =
            [
                .. clip.Threads.Select(thread =>
                    project
                        .Threads.Where(own => own.Kind == thread.Kind && Apart(own.Colour, thread.Colour) <= Near)
                        .MinBy(own => Apart(own.Colour, thread.Colour))
                        is { } near
                        ? near with
                        {
                            Id = thread.Id,
                        }
                        : thread
                ),
            ],
        };

    /// <summary>How far two colours lie apart, weighted as the eye sees red, green and blue.</summary>
    internal static double Apart(string one, string other)
    {
        var (a, b) = (Parts(one), Parts(other));
        var (red, green, blue) = (a.R - b.R, a.G - b.G, a.B - b.B);
        return Math.Sqrt(((2 * red * red) + (4 * green * green) + (3 * blue * blue)) / 3.0);
    }

    private static (int R, int G, int B) Parts(string colour) => (Hex(colour, 1), Hex(colour, 3), Hex(colour, 5));

    private static int Hex(string colour, int at) =>
        int.TryParse(colour.AsSpan(at, 2), NumberStyles.HexNumber, CultureInfo.InvariantCulture, out var number)
            ? number
            : 0;
}
