namespace Ullet.Core.Stitches;

/// <summary>Tells the rungs' ends apart: which lies on a column's one side, which on the other.</summary>
internal static class ColumnSides
{
    internal static List<(int Left, int Right)> Of(ColumnMesh mesh, MeshColumn column)
    {
        var sides = new List<(int Left, int Right)>(column.Rungs.Count);
        foreach (var rung in column.Rungs)
        {
            if (sides.Count == 0)
            {
                sides.Add((rung.A, rung.B));
                continue;
            }
            var (left, right) = sides[^1];
            var straight = Away(mesh, left, rung.A) + Away(mesh, right, rung.B);
            var crossed = Away(mesh, left, rung.B) + Away(mesh, right, rung.A);
            sides.Add(straight <= crossed ? (rung.A, rung.B) : (rung.B, rung.A));
        }
        return sides;
    }

    private static double Away(ColumnMesh mesh, int a, int b) => mesh.Points[a].DistanceTo(mesh.Points[b]);
}
