using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Where the lines of an arrangement go through elements that are not boxes' edges: baselines and optical middles.</summary>
internal static class AlignLines
{
    /// <summary>Turns that differ by less are one, degrees.</summary>
    private const double OneTurn = 0.05;

    /// <summary>The optical middle of several outlines together; the middle of their box where they have none.</summary>
    internal static Point OpticalMiddle(IEnumerable<Element> elements, EditContext context)
    {
        var whole = elements.Select(context.Evaluator.OutlineOf).ToList();
        var together = new Outline([.. whole.SelectMany(outline => outline.Parts)])
        {
            Lines = [.. whole.SelectMany(outline => outline.Lines)],
        };
        return Balance.Of(together) ?? together.Bounds().Centre;
    }

    /// <summary>How the words among elements are turned, degrees; 0 without words.</summary>
    /// <returns>Or the refusal: words that are turned differently have no baseline in common.</returns>
    internal static Result<double> TurnOfWords(IEnumerable<Element> elements)
    {
        var words = elements.Where(element => element.Form is TextForm).ToList();
        if (words.Count == 0)
        {
            return 0;
        }
        var turn = words[0].Box.Rotation;
        var other = words.Find(element => Math.Abs(Math.IEEERemainder(element.Box.Rotation - turn, 360)) > OneTurn);
        return other is null
            ? turn
            : new Refusal(
                "turns-differ",
                "elementIds",
                $"{words[0].Name} is turned by {turn:0.#}° and {other.Name} by {other.Box.Rotation:0.#}°: they have no baseline "
                    + "in common. Turn them alike first."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
    }

    /// <summary>Where elements stand on a line that is turned: the lowest of their baselines, or of their edges where they have none.</summary>
    /// <param name="elements">Taken as one.</param>
    /// <param name="turn">The line's turn, degrees.</param>
    /// <param name="context">Fonts and outlines.</param>
    /// <returns>mm across the line, downwards where it lies level.</returns>
    internal static double Standing(ImmutableArray<Element> elements, double turn, EditContext context)
    {
        var down = Down(turn);
        var baselines = elements.Select(context.Evaluator.BaselineOf).OfType<Point>().ToList();
        return baselines.Count > 0
            ? baselines.Max(place => Point.Dot(place, down))
            : elements
                .SelectMany(element =>
                    context.Evaluator.OutlineOf(element).Transform(Affine.Rotate(-turn)).Bounds().Corners()
                )
                .Max(corner => corner.Y);
    }

    /// <summary>The way down from a line, a unit long.</summary>
    internal static Point Down(double turn)
    {
        var (sin, cos) = Math.SinCos(turn * Math.PI / 180);
        return new Point(-sin, cos);
    }
}
