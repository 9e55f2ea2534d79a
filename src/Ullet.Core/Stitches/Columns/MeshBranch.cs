namespace Ullet.Core.Stitches;

/// <summary>A place where branches meet: the triangles between them.</summary>
internal sealed class MeshNode
{
    internal List<int> Triangles { get; } = [];

    /// <summary>The branches that end here; one that begins and ends here stands twice.</summary>
    internal List<MeshBranch> Branches { get; } = [];
}

/// <summary>Triangles one after the other between two nodes, or from a node to where the shape ends.</summary>
internal sealed class MeshBranch
{
    /// <summary>The chords across it in order; the first lies at <see cref="From"/>, the last at <see cref="To"/> or before the end.</summary>
    internal List<Rung> Rungs { get; init; } = [];

    /// <summary>The triangles before each rung and, unless it is closed, after the last; none before a rung at a node.</summary>
    internal List<List<int>> Groups { get; init; } = [];

    internal IEnumerable<int> Triangles => Groups.SelectMany(group => group);

    /// <summary>Where it begins; null where the shape ends.</summary>
    internal MeshNode? From { get; set; }

    /// <summary>Where it ends; null where the shape ends.</summary>
    internal MeshNode? To { get; set; }

    /// <summary>True when it goes round and meets itself.</summary>
    internal bool IsClosed { get; set; }

    internal bool IsLeaf => !IsClosed && (From is null || To is null);

    internal void Reverse()
    {
        Groups.Reverse();
        Rungs.Reverse();
        (From, To) = (To, From);
    }
}
