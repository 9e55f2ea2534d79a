namespace Ullet.Core.Stitches;

/// <summary>Triangles that are sewn as one column, from one end to the other.</summary>
internal sealed class MeshColumn
{
    /// <summary>The chords across it in order.</summary>
    internal List<Rung> Rungs { get; init; } = [];

    /// <summary>The triangles before each rung and, unless it is closed, after the last.</summary>
    internal List<List<int>> Groups { get; init; } = [];

    /// <summary>The node at which it begins, under another column; null where it has an end of its own.</summary>
    internal MeshNode? Start { get; set; }

    /// <summary>The same at its end.</summary>
    internal MeshNode? End { get; set; }

    internal bool IsClosed { get; init; }

    /// <summary>True for what other columns' strokes left: it is covered however narrow it is.</summary>
    internal bool IsRest { get; init; }

    /// <summary>The nodes that it goes through, each with the number of the rung after it.</summary>
    internal List<(MeshNode Node, int Rung)> Passed { get; init; } = [];

    internal IEnumerable<int> Triangles => Groups.SelectMany(group => group);
}
