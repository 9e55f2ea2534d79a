using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Files.CutFiles;

/// <summary>Holds what was read back against what was to be written.</summary>
internal static class CutReadBack
{
    /// <summary>Nothing may lie farther off than this, mm.</summary>
    internal const double Tolerated = 0.05;

    private const double Flat = 0.004;

    /// <summary>Throws when lines are missing, or lie elsewhere: a fault of ours.</summary>
    /// <param name="what">What was written: "SVG".</param>
    /// <param name="wanted">The lines that were written.</param>
    /// <param name="found">The lines that were read.</param>
    internal static void Check(string what, IReadOnlyList<CutPath> wanted, IReadOnlyList<Contour> found)
    {
        if (wanted.Count != found.Count)
        {
            throw new InvalidOperationException(
                $"The {what} has {found.Count} lines when it is read back, and should have {wanted.Count}."
            );
        }
        for (var i = 0; i < wanted.Count; i++)
        {
            if (!AreAlike(wanted[i], found[i]) && Farthest(wanted[i], found[i]) is > Tolerated and var off)
            {
                throw new InvalidOperationException(
                    $"A line of {wanted[i].Name} lies {off:0.###} mm off when the {what} is read back."
                );
            }
        }
    }

    /// <summary>True for the same curves, control point by control point: curves lie no farther apart than their controls.</summary>
    private static bool AreAlike(CutPath wanted, Contour found) =>
        wanted.Curves.Length == found.Curves.Length
        && wanted.Curves.Zip(found.Curves).All(pair => AreAlike(pair.First, pair.Second));

    private static bool AreAlike(Curve first, Curve second) =>
        first.IsLine == second.IsLine
        && first.Start.DistanceTo(second.Start) <= Tolerated
        && first.End.DistanceTo(second.End) <= Tolerated
        && (
            first.IsLine
            || (
                first.Control1.DistanceTo(second.Control1) <= Tolerated
                && first.Control2.DistanceTo(second.Control2) <= Tolerated
            )
        );

    /// <summary>How far two lines lie apart at most, either way, mm.</summary>
    private static double Farthest(CutPath wanted, Contour found)
    {
        var (a, b) = (Points(wanted.Curves, wanted.IsClosed), Points(found.Curves, wanted.IsClosed));
        return Math.Max(Off(a, b), Off(b, a));
    }

    private static double Off(List<Point> places, List<Point> line)
    {
        var index = new SegmentIndex([new Ring([.. line])]);
        return places.Max(place => index.Nearest(place, 1)?.DistanceTo(place) ?? double.PositiveInfinity);
    }

    private static List<Point> Points(ImmutableArray<Curve> curves, bool closed)
    {
        var points = new OpenPath(curves).Flatten(Flat).ToList();
        if (!closed)
        {
            // There and back, so that no chord joins the ends.
            points.AddRange(points.AsEnumerable().Reverse().Skip(1).ToList());
        }
        return points;
    }

    /// <summary>The role of a stroke in a PDF by its width; null for a mark of the page.</summary>
    internal static CutRole? RoleOf(PdfStroke stroke)
    {
        const double Alike = 0.004;
        return Math.Abs(stroke.Width - PdfCutWriter.CutWidth) < Alike ? CutRole.Cut
            : Math.Abs(stroke.Width - PdfCutWriter.DrawWidth) < Alike ? CutRole.Draw
            : Math.Abs(stroke.Width - PdfCutWriter.ScoreWidth) < Alike ? CutRole.Score
            : null;
    }
}
