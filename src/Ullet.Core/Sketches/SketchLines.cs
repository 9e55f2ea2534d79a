using System.Collections.Immutable;
using System.Globalization;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Sketches;

/// <summary>Reads the lines of a small drawing from a short text, on a square of 100 units, y downwards.</summary>
/// <remarks>
/// Lines stand apart by "|". Each is one of: "~ x,y x,y …" closed through these places; "- x,y x,y …" open; "o x,y,rx,ry,turn" an
/// ellipse; "p x,y,r,n,share" a star or polygon of n corners, the first on top. A place with "!" is a corner, else the line runs
/// smoothly through it. "6:x,y" before a line repeats it six times round a place.
/// </remarks>
internal static class SketchLines
{
    /// <summary>A smooth line's handles, over the distance of the places beside.</summary>
    private const double Handle = 1.0 / 6;

    /// <summary>A quarter of a circle as a cubic curve: the handles' length over the radius.</summary>
    private const double Quarter = 0.5523;

    /// <summary>The lines as they are drawn.</summary>
    internal static ImmutableArray<DrawnLine> Read(string text) =>
        [.. text.Split('|').SelectMany(one => Repeated(one.Trim()))];

    private static IEnumerable<DrawnLine> Repeated(string text)
    {
        var colon = text.IndexOf(':', StringComparison.Ordinal);
        if (colon < 0)
        {
            yield return Line(Places(text), text[0]);
            yield break;
        }
        var blank = text.IndexOf(' ', StringComparison.Ordinal);
        var (times, centre) = (
            int.Parse(text[..colon], CultureInfo.InvariantCulture),
            Numbers(text[(colon + 1)..blank])
        );
        var line = text[(blank + 1)..];
        for (var i = 0; i < times; i++)
        {
            var turn = Affine
                .Translate(-centre[0], -centre[1])
                .Then(Affine.Rotate(360.0 * i / times))
                .Then(Affine.Translate(centre[0], centre[1]));
            yield return Line([.. Places(line).Select(place => place with { At = turn.Apply(place.At) })], line[0]);
        }
    }

    private static List<Place> Places(string text)
    {
        var words = text[2..].Split(' ', StringSplitOptions.RemoveEmptyEntries);
        return text[0] switch
        {
            '~' or '-' =>
            [
                .. words.Select(word =>
                {
                    var at = Numbers(word.TrimEnd('!'));
                    return new Place(new Point(at[0], at[1]), word[^1] == '!');
                }),
            ],
            'o' => Ellipse(Numbers(words[0])),
            'p' => Star(Numbers(words[0])),
            _ => throw new FormatException($"\"{text}\" is no line of a small drawing."),
        };
    }

    private static List<Place> Ellipse(double[] numbers)
    {
        var (rx, ry) = (numbers[2], numbers.Length > 3 ? numbers[3] : numbers[2]);
        var turn = Affine.Rotate(numbers.Length > 4 ? numbers[4] : 0).Then(Affine.Translate(numbers[0], numbers[1]));
        return
        [
            .. new Point[] { new(0, -ry), new(rx, 0), new(0, ry), new(-rx, 0) }.Select(end => new Place(
                turn.Apply(end),
                false
            )),
        ];
    }

    private static List<Place> Star(double[] numbers)
    {
        var (count, share) = ((int)numbers[3], numbers[4]);
        var corners = share < 1 ? 2 * count : count;
        return
        [
            .. Enumerable
                .Range(0, corners)
                .Select(i =>
                {
                    var angle = (2 * Math.PI * i / corners) - (Math.PI / 2);
                    var reach = numbers[2] * (share < 1 && i % 2 == 1 ? share : 1);
                    return new Place(
                        new Point(numbers[0] + (reach * Math.Cos(angle)), numbers[1] + (reach * Math.Sin(angle))),
                        true
                    );
                }),
        ];
    }

    private static DrawnLine Line(List<Place> places, char kind)
    {
        var isClosed = kind != '-';
        var count = isClosed ? places.Count : places.Count - 1;
        // Four places of an ellipse carry the handles of quarters.
        var handle = kind == 'o' ? Quarter / 2 : Handle;
        var curves = ImmutableArray.CreateBuilder<DrawnCurve>(count);
        for (var i = 0; i < count; i++)
        {
            var (from, to) = (places[i], places[(i + 1) % places.Count]);
            var leaves = from.At + (Along(places, i, isClosed) * handle);
            var comes = to.At - (Along(places, (i + 1) % places.Count, isClosed) * handle);
            leaves = from.IsCorner || IsEnd(places, i, isClosed) ? from.At : leaves;
            comes = to.IsCorner || IsEnd(places, (i + 1) % places.Count, isClosed) ? to.At : comes;
            curves.Add(
                new DrawnCurve(leaves.X, leaves.Y, comes.X, comes.Y, to.At.X, to.At.Y)
                {
                    Node = to.IsCorner ? NodeKind.Corner : NodeKind.Smooth,
                }
            );
        }
        return new DrawnLine(places[0].At.X, places[0].At.Y, curves.MoveToImmutable());
    }

    private static bool IsEnd(List<Place> places, int i, bool isClosed) =>
        !isClosed && (i == 0 || i == places.Count - 1);

    private static Point Along(List<Place> places, int i, bool isClosed) =>
        IsEnd(places, i, isClosed)
            ? Point.Zero
            : places[(i + 1) % places.Count].At - places[(i + places.Count - 1) % places.Count].At;

    private static double[] Numbers(string text) =>
        [.. text.Split(',').Select(number => double.Parse(number, CultureInfo.InvariantCulture))];

    private readonly record struct Place(Point At, bool IsCorner);
}
