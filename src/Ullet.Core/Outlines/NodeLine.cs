using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>A node of a drawn line with its handles, on the wall, mm.</summary>
/// <param name="At">The node.</param>
/// <param name="In">The handle towards the node before; at the node itself for a straight stretch.</param>
/// <param name="Out">The handle towards the node after; at the node itself for a straight stretch.</param>
/// <param name="Kind">How the line goes through it.</param>
public sealed record Node(Point At, Point In, Point Out, NodeKind Kind)
{
    internal Node Moved(Point by) => this with { At = At + by, In = In + by, Out = Out + by };

    internal Node Transform(Affine map) => new(map.Apply(At), map.Apply(In), map.Apply(Out), Kind);
}

/// <summary>A drawn line as nodes.</summary>
public sealed record NodeLine(ImmutableArray<Node> Nodes, bool IsClosed)
{
    /// <summary>How many stretches lie between nodes.</summary>
    [JsonIgnore]
    public int StretchCount => IsClosed ? Nodes.Length : Nodes.Length - 1;

    /// <summary>The stretch from a node to the next.</summary>
    public Curve Stretch(int index)
    {
        var (from, to) = (Nodes[index], Nodes[(index + 1) % Nodes.Length]);
        return from.Out == from.At && to.In == to.At
            ? Curve.Line(from.At, to.At)
            : Curve.Cubic(from.At, from.Out, to.In, to.At);
    }

    /// <summary>All stretches, in order.</summary>
    public IEnumerable<Curve> Curves() => Enumerable.Range(0, StretchCount).Select(Stretch);

    public NodeLine Transform(Affine map) => this with { Nodes = [.. Nodes.Select(node => node.Transform(map))] };

    public NodeLine Reversed() =>
        this with
        {
            Nodes = [.. Nodes.Reverse().Select(node => node with { In = node.Out, Out = node.In })],
        };
}

/// <summary>Between a document's drawings and nodes on the wall.</summary>
public static class NodeLines
{
    /// <summary>The nodes of a drawn element's lines on the wall; holes given apart from the shape come as lines of their own.</summary>
    /// <returns>Null for an element that is not drawn.</returns>
    public static ImmutableArray<NodeLine>? Of(Element element) =>
        element.FormedAs<DrawingForm>() is { } drawn
            ? [.. OfLines(drawn.Drawing, element.Box, !element.Making.FollowsLines), .. HolesOf(element, drawn)]
            : null;

    /// <summary>A place where a drawn piece's edges cross themselves or each other, on the wall, mm; null where they do not.</summary>
    public static Point? FirstCrossing(Element element) =>
        Of(element) is { } lines
            ? Crossings.First(
                lines.Select(line => new Contour([.. line.Curves()]).Flatten()).Where(ring => ring.Points.Length > 2)
            )
            : null;

    /// <summary>The nodes of an outline: every edge closed, every open line as it is.</summary>
    public static ImmutableArray<NodeLine> Of(Outline outline) =>
        [.. DrawnElements.ShapeOf(outline).Lines.Select(line => Nodes(line, Affine.Identity, isCloth: false))];

    /// <summary>The element with other lines, in the turn and flip that it has; a lean is worked into the nodes. What is placed
    /// in its frame stays where it is on the wall.</summary>
    public static Element With(Element element, ImmutableArray<NodeLine> lines)
    {
        var frame = BoxFit.Frame(element.Box);
        var inverse = frame.Inverse();
        var own = lines.Select(line => line.Transform(inverse)).ToImmutableArray();
        var bounds = own.SelectMany(line => line.Curves())
            .Aggregate(Box.Empty, (box, curve) => box.Union(curve.Bounds()));
        var middle = frame.Apply(bounds.Centre);
        var box = element.Box with
        {
            X = middle.X,
            Y = middle.Y,
            Width = bounds.Width,
            Height = bounds.Height,
            Skew = 0,
        };
        var drawn = new DrawnShape([.. own.Select(Drawn)]);
        return FrameChange.Kept(element, box) with { Form = new DrawingForm(drawn) };
    }

    /// <summary>A line as nodes, smooth where its curves go on smoothly.</summary>
    public static DrawnLine Drawn(NodeLine line)
    {
        var (start, count) = (line.Nodes[0].At, line.Nodes.Length);
        return new DrawnLine(
            start.X,
            start.Y,
            [
                .. Enumerable
                    .Range(0, line.StretchCount)
                    .Select(i =>
                    {
                        var (from, to) = (line.Nodes[i], line.Nodes[(i + 1) % count]);
                        return new DrawnCurve(from.Out.X, from.Out.Y, to.In.X, to.In.Y, to.At.X, to.At.Y)
                        {
                            Node = to.Kind,
                        };
                    }),
            ]
        );
    }

    private static IEnumerable<NodeLine> HolesOf(Element element, DrawingForm drawn)
    {
        foreach (var hole in drawn.Holes)
        {
            var onWall = PlacedHoles.OnWall(drawn.Drawing, hole, element.Box);
            var line = DrawnElements.ShapeOf(new Outline([new OutlinePart(onWall, [])])).Lines[0];
            yield return Nodes(line, Affine.Identity, isCloth: true);
        }
    }

    private static ImmutableArray<NodeLine> OfLines(DrawnShape drawn, ElementBox box, bool isCloth)
    {
        var form = new Outline([]) { Lines = [.. drawn.Lines.Select(line => new OpenPath(DrawnContour.Curves(line)))] };
        var map = BoxFit.Map(form, box);
        return [.. drawn.Lines.Select(line => Nodes(line, map, isCloth))];
    }

    private static NodeLine Nodes(DrawnLine line, Affine map, bool isCloth)
    {
        var curves = line.Curves;
        var start = new Point(line.StartX, line.StartY);
        var returns = line.IsClosed;
        var isClosed = returns || isCloth;
        var nodes = ImmutableArray.CreateBuilder<Node>();
        nodes.Add(
            new Node(
                start,
                returns ? new Point(curves[^1].X2, curves[^1].Y2) : start,
                new Point(curves[0].X1, curves[0].Y1),
                returns ? curves[^1].Node : NodeKind.Corner
            )
        );
        for (var i = 0; i < curves.Length - (returns ? 1 : 0); i++)
        {
            Budget.Spend();
            var at = new Point(curves[i].X, curves[i].Y);
            var goesOn = i + 1 < curves.Length;
            nodes.Add(
                new Node(
                    at,
                    new Point(curves[i].X2, curves[i].Y2),
                    goesOn ? new Point(curves[i + 1].X1, curves[i + 1].Y1) : at,
                    goesOn ? curves[i].Node : NodeKind.Corner
                )
            );
        }
        return new NodeLine([.. nodes.Select(node => node.Transform(map))], isClosed);
    }
}
