using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Files.CutFiles;

/// <summary>A cut file as a reader finds it.</summary>
/// <param name="Width">Width of the page, mm.</param>
/// <param name="Height">Height of the page, mm.</param>
/// <param name="Lines">Every line to cut, in the file's order, mm from the page's top left.</param>
public sealed record CutFile(double Width, double Height, ImmutableArray<CutLine> Lines);

/// <summary>One line of a cut file.</summary>
/// <param name="Group">Name of the group it stands in, or "".</param>
/// <param name="Name">Its own name, or "".</param>
/// <param name="Contour">Its curves, mm.</param>
/// <param name="IsClosed">False for an open line.</param>
public sealed record CutLine(string Group, string Name, Contour Contour, bool IsClosed);
