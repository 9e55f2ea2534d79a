using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Files.CutFiles;

/// <summary>A cut file as a reader finds it.</summary>
/// <param name="Width">Width of the page, mm.</param>
/// <param name="Height">Height of the page, mm.</param>
/// <param name="Lines">Every line, in the file's order, mm from the page's top left.</param>
public sealed record CutFile(double Width, double Height, ImmutableArray<CutLine> Lines)
{
    /// <summary>The cloth that the file says it is for; null when it does not say.</summary>
    public string? Cloth { get; init; }

    /// <summary>Why the file is mirrored already; null when it is not, or does not say.</summary>
    public string? Mirrored { get; init; }
}

/// <summary>One line of a cut file.</summary>
/// <param name="Group">Name of the group or layer it stands in, or "".</param>
/// <param name="Name">Its own name, or "".</param>
/// <param name="Contour">Its curves, mm.</param>
/// <param name="IsClosed">False for an open line.</param>
public sealed record CutLine(string Group, string Name, Contour Contour, bool IsClosed)
{
    /// <summary>What it is for, as its group's name says; cut where that says nothing.</summary>
    public CutRole Role => CutNames.RoleOf(Group);
}
