using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>Finds the columns of a region.</summary>
internal static class ColumnFinder
{
    /// <summary>Edges are divided into pieces of at most this share of the strokes' usual width, and within these bounds, mm.</summary>
    private const double StepShare = 0.115;

    /// <summary>So often what strokes do not reach is handed on.</summary>
    private const int MostRounds = 3;

    private static readonly (double Least, double Most) Steps = (0.12, 0.45);

    internal static ImmutableArray<SatinColumn> Of(
        Region region,
        ImmutableArray<StrokeDirection> directions,
        CancellationToken cancellation
    )
    {
        // A long stroke has half of its outline on each side.
        var usual = 2 * region.Area / Math.Max(1e-9, region.Rings.Sum(ring => ring.Length));
        var step = Math.Clamp(StepShare * usual, Steps.Least, Steps.Most);
        var mesh = ColumnMesh.Of(region, step);
        var edges = new RegionEdges(mesh);
        var graph = MeshGraph.Of(mesh);
        var found = graph.Branches.Count == 0 ? [Blob(graph)] : MeshColumns.Of(mesh, graph);
        found.RemoveAll(column => !column.Triangles.Any());
        var known = new Dictionary<MeshColumn, SatinColumn>();
        for (var round = 0; round < MostRounds; round++)
        {
            cancellation.ThrowIfCancellationRequested();
            var changed = ColumnSharing.HandOn(mesh, found, column => Known(column).Places);
            if (changed.Count == 0)
            {
                break;
            }
            changed.ForEach(column => known.Remove(column));
        }
        var laid = found.ConvertAll(Known).FindAll(column => column.Places.Length > 1);
        return [.. laid, .. ColumnRests.Of(mesh, edges, laid)];

        SatinColumn Known(MeshColumn column)
        {
            if (!known.TryGetValue(column, out var sewn))
            {
                known[column] = sewn = Laid(mesh, edges, directions, column);
            }
            return sewn;
        }
    }

    private static SatinColumn Laid(
        ColumnMesh mesh,
        RegionEdges edges,
        ImmutableArray<StrokeDirection> directions,
        MeshColumn column
    )
    {
        var spine = StrokeTurns.Turned(ColumnSpine.Of(mesh, column), directions);
        return new SatinColumn(column, ColumnStrokes.Of(new ColumnBand(mesh, column), edges, spine), spine.IsClosed);
    }

    private static MeshColumn Blob(MeshGraph graph) =>
        new()
        {
            Groups =
            [
                [.. graph.Nodes.SelectMany(node => node.Triangles)],
            ],
        };
}
