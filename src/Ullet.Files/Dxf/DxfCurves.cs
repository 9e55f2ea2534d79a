using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Files.Dxf;

/// <summary>Entities as curves, in the file's units, y up.</summary>
internal static class DxfCurves
{
    /// <summary>What is drawn, and writing or measures, that no blade follows.</summary>
    internal static readonly HashSet<string> Known =
    [
        "LINE",
        "LWPOLYLINE",
        "POLYLINE",
        "ARC",
        "CIRCLE",
        "ELLIPSE",
        "SPLINE",
        "INSERT",
    ];

    internal static readonly HashSet<string> Texts = ["TEXT", "MTEXT", "ATTRIB", "DIMENSION", "LEADER", "MLEADER"];

    /// <summary>What draws nothing by itself.</summary>
    internal static readonly HashSet<string> Silent = ["POINT", "ATTDEF", "VIEWPORT", "ENDTAB", "TABLE", "LAYER"];

    private const int ClosedFlag = 1;

    /// <summary>Meshes and surfaces are no lines.</summary>
    private const int MeshFlags = 16 | 64;

    /// <summary>Frame vertices of a splined polyline, which the line does not pass.</summary>
    private const int FrameVertex = 16;

    /// <returns>The curves and whether they close; null for what gives none: broken numbers, no length, a surface.</returns>
    internal static (ImmutableArray<Curve> Curves, bool IsClosed)? Of(DxfEntity entity)
    {
        (ImmutableArray<Curve> Curves, bool IsClosed)? found = entity.Kind switch
        {
            "LINE" => Line(entity),
            "LWPOLYLINE" => Light(entity),
            "POLYLINE" => Heavy(entity),
            "ARC" => Arc(entity, entity.Number(50), entity.Number(51)),
            "CIRCLE" => Arc(entity, 0, 360),
            "ELLIPSE" => Ellipse(entity),
            "SPLINE" => DxfSpline.Of(entity),
            _ => null,
        };
        if (found is not { } line)
        {
            return null;
        }
        var curves = line.Curves.RemoveAll(curve => curve.IsLine && curve.Start.DistanceTo(curve.End) < Tolerance.Same);
        return curves.IsEmpty ? null : (Upright(curves, entity), line.IsClosed);
    }

    /// <summary>An entity drawn on the plane's back is mirrored.</summary>
    private static ImmutableArray<Curve> Upright(ImmutableArray<Curve> curves, DxfEntity entity) =>
        entity.Number(230, 1) < 0 && entity.Kind is not ("LINE" or "ELLIPSE" or "SPLINE")
            ? [.. curves.Select(curve => curve.Transform(Affine.Scale(-1, 1)))]
            : curves;

    private static (ImmutableArray<Curve> Curves, bool IsClosed)? Line(DxfEntity entity) =>
        (entity.Number(10), entity.Number(20), entity.Number(11), entity.Number(21)) is ({ } x1, { } y1, { } x2, { } y2)
            ? ([Curve.Line(new Point(x1, y1), new Point(x2, y2))], false)
            : null;

    private static (ImmutableArray<Curve> Curves, bool IsClosed)? Light(DxfEntity entity)
    {
        var corners = new List<(Point At, double Bulge)>();
        double? x = null;
        foreach (var pair in entity.Pairs)
        {
            switch (pair.Code)
            {
                case 10:
                    x = pair.Number;
                    break;
                case 20 when x is { } across && pair.Number is { } down:
                    corners.Add((new Point(across, down), 0));
                    x = null;
                    break;
                case 42 when corners.Count > 0:
                    corners[^1] = (corners[^1].At, pair.Number ?? 0);
                    break;
            }
        }
        return Joined(corners, (entity.Flags & ClosedFlag) != 0);
    }

    private static (ImmutableArray<Curve> Curves, bool IsClosed)? Heavy(DxfEntity entity)
    {
        if ((entity.Flags & MeshFlags) != 0)
        {
            return null;
        }
        var corners = entity
            .Vertices.Where(vertex => (vertex.Flags & FrameVertex) == 0)
            .Select(vertex => (new Point(vertex.Number(10, 0), vertex.Number(20, 0)), vertex.Number(42, 0)))
            .ToList();
        return Joined(corners, (entity.Flags & ClosedFlag) != 0);
    }

    private static (ImmutableArray<Curve> Curves, bool IsClosed)? Joined(
        List<(Point At, double Bulge)> corners,
        bool closed
    )
    {
        if (corners.Count < 2)
        {
            return null;
        }
        var curves = ImmutableArray.CreateBuilder<Curve>();
        for (var i = 0; i + (closed ? 0 : 1) < corners.Count; i++)
        {
            curves.AddRange(
                new BulgeArc(corners[i].At, corners[(i + 1) % corners.Count].At, corners[i].Bulge).Curves()
            );
        }
        return (curves.ToImmutable(), closed);
    }

    private static (ImmutableArray<Curve> Curves, bool IsClosed)? Arc(DxfEntity entity, double? from, double? to)
    {
        if (
            (entity.Number(10), entity.Number(20), entity.Number(40), from, to)
            is not
            ({ } x, { } y, { } radius and > 0, { } start, { } end)
        )
        {
            return null;
        }
        return Swept(
            new Point(x, y),
            new Point(radius, 0),
            new Point(0, radius),
            start * Math.PI / 180,
            end * Math.PI / 180
        );
    }

    private static (ImmutableArray<Curve> Curves, bool IsClosed)? Ellipse(DxfEntity entity)
    {
        if (
            (entity.Number(10), entity.Number(20), entity.Number(11), entity.Number(21), entity.Number(40))
            is not
            ({ } x, { } y, { } majorX, { } majorY, { } ratio)
        )
        {
            return null;
        }
        var major = new Point(majorX, majorY);
        var minor = new Point(-majorY, majorX) * (ratio * (entity.Number(230, 1) < 0 ? -1 : 1));
        return Swept(new Point(x, y), major, minor, entity.Number(41, 0), entity.Number(42, 2 * Math.PI));
    }

    /// <summary>Centre + cos · first + sin · second, from one angle on to another, radians; a whole turn closes.</summary>
    private static (ImmutableArray<Curve> Curves, bool IsClosed) Swept(
        Point centre,
        Point first,
        Point second,
        double from,
        double to
    )
    {
        const double Whole = 2 * Math.PI;
        var turn = to - from;
        if (turn <= 1e-9)
        {
            turn -= Whole * Math.Floor((turn - 1e-9) / Whole);
        }
        turn = Math.Min(turn, Whole);
        return (EllipticArc.Curves(centre, first, second, from, turn), Math.Abs(turn - (2 * Math.PI)) < 1e-6);
    }
}
