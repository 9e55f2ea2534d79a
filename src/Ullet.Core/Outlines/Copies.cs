using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>An outline several times: in a row, along a line, round a centre, mirrored.</summary>
/// <remarks>Copies keep the first one's nodes; copies that overlap are joined and get a node at each crossing.</remarks>
internal static class Copies
{
    internal static Outline Of(
        Outline outline,
        Operation operation,
        ImmutableArray<OperationSource> sources,
        ElementBox box
    )
    {
        var maps = operation switch
        {
            RepeatInLine { LineId: not null } line => Along(line, sources[0].Outline, box),
            RepeatInLine row => InRow(row, box),
            RepeatRound round => Round(round, box),
            Mirror mirror => [Affine.Identity, Mirrored(mirror, box)],
            _ => throw new ArgumentException($"{operation.GetType().Name} makes no copies.", nameof(operation)),
        };
        var copies = maps.Select(map => map == Affine.Identity ? outline : outline.Transform(map)).ToList();
        return copies.Count == 1
            ? outline
            : FilledOutline.Joined([.. copies.Select(copy => new Outline(copy.Parts))]) with
            {
                Lines = [.. copies.SelectMany(copy => copy.Lines)],
            };
    }

    private static IEnumerable<Affine> InRow(RepeatInLine row, ElementBox box)
    {
        var step = OnWall(box, row.StepX, row.StepY) - OnWall(box, 0, 0);
        return Enumerable.Range(0, row.Count).Select(i => Affine.Translate(step.X * i, step.Y * i));
    }

    /// <summary>Middles on the line, the first at its start; without a line, the element as it is.</summary>
    private static IEnumerable<Affine> Along(RepeatInLine row, Outline source, ElementBox box)
    {
        var points = LineOf(source);
        if (points.IsEmpty)
        {
            return [Affine.Identity];
        }
        var along = new ArcLength(points);
        var isRound = points[0].DistanceTo(points[^1]) < Tolerance.Quantum;
        var step = along.Total / (isRound ? row.Count : row.Count - 1);
        return Enumerable
            .Range(0, row.Count)
            .Select(i =>
            {
                var at = along.At(step * i);
                var way = along.At((step * i) + 0.05) - along.At((step * i) - 0.05);
                var turn = row.TurnsAlong ? Math.Atan2(way.Y, way.X) * 180 / Math.PI : 0;
                return Affine.Translate(-box.X, -box.Y).Then(Affine.Rotate(turn)).Then(Affine.Translate(at.X, at.Y));
            });
    }

    private static IEnumerable<Affine> Round(RepeatRound round, ElementBox box)
    {
        var centre = OnWall(box, round.CentreX, round.CentreY);
        var middle = OnWall(box, 0, 0);
        var isFull = Math.Abs(Math.Abs(round.Sweep) - 360) < 1e-6;
        var step = round.Sweep / (isFull ? round.Count : round.Count - 1) * (box.IsFlipped ? -1 : 1);
        return Enumerable
            .Range(0, round.Count)
            .Select(i =>
            {
                if (i == 0)
                {
                    return Affine.Identity;
                }
                var turn = About(centre, Affine.Rotate(step * i));
                var to = turn.Apply(middle) - middle;
                return round.Turns ? turn : Affine.Translate(to.X, to.Y);
            });
    }

    private static Affine Mirrored(Mirror mirror, ElementBox box)
    {
        var (at, way) = Axis(box, mirror.Angle, mirror.Distance);
        var turn = Math.Atan2(way.Y, way.X) * 180 / Math.PI;
        return About(at, Affine.Rotate(-turn).Then(Affine.Scale(1, -1)).Then(Affine.Rotate(turn)));
    }

    /// <summary>A straight line of an element's frame on the wall: a place on it and its way down.</summary>
    internal static (Point At, Point Way) Axis(ElementBox box, double angle, double distance)
    {
        var turn = Affine.Rotate(angle);
        var (own, end) = (turn.Apply(new Point(distance, 0)), turn.Apply(new Point(distance, 1)));
        var at = OnWall(box, own.X, own.Y);
        return (at, (OnWall(box, end.X, end.Y) - at).Unit());
    }

    /// <summary>The first open line of an outline, or its first edge, as points.</summary>
    internal static ImmutableArray<Point> LineOf(Outline source)
    {
        if (!source.Lines.IsEmpty)
        {
            return source.Lines[0].Flatten();
        }
        var ring = source.Parts.FirstOrDefault()?.Shell.Flatten();
        return ring is null ? [] : [.. ring.Points, ring.Points[0]];
    }

    private static Point OnWall(ElementBox box, double x, double y) => BoxFit.OnWall(box, new Point(x, y));

    private static Affine About(Point centre, Affine map) =>
        Affine.Translate(-centre.X, -centre.Y).Then(map).Then(Affine.Translate(centre.X, centre.Y));
}
