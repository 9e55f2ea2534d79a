namespace Ullet.Core.Projects;

/// <summary>Which part of which small drawing an element is.</summary>
/// <param name="SketchId">The drawing.</param>
/// <param name="Part">The part's number, from the lowest.</param>
public sealed record SketchUse(string SketchId, int Part);
