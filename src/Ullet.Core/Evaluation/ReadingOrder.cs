using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Evaluation;

/// <summary>Words in the order in which eyes read them: line by line down the wall, from left to right in a line.</summary>
public static class ReadingOrder
{
    /// <summary>The ids of all words that are seen.</summary>
    /// <param name="project">The document.</param>
    /// <param name="outlines">The outlines of its elements by their ids.</param>
    public static ImmutableArray<string> Of(Project project, IReadOnlyDictionary<string, Outline> outlines)
    {
        var words = project
            .Elements.Where(element => element.Form is TextForm && !element.IsHidden)
            .Select(element => (element.Id, Box: Seen(element, outlines)))
            .OrderBy(each => each.Box.Centre.Y)
            .ToList();
        var lines = new List<List<(string Id, Box Box)>>();
        foreach (var each in words)
        {
            // One line with those whose middles lie within each other's heights.
            if (lines.Count > 0 && lines[^1].Exists(other => IsBeside(other.Box, each.Box)))
            {
                lines[^1].Add(each);
            }
            else
            {
                lines.Add([each]);
            }
        }
        return [.. lines.SelectMany(line => line.OrderBy(each => each.Box.MinX)).Select(each => each.Id)];
    }

    private static Box Seen(Element element, IReadOnlyDictionary<string, Outline> outlines)
    {
        var box = outlines[element.Id].Bounds();
        return box.IsEmpty
            ? Box.Centred(element.Box.Width, element.Box.Height).Moved(element.Box.X, element.Box.Y)
            : box;
    }

    private static bool IsBeside(Box one, Box other) =>
        Math.Abs(one.Centre.Y - other.Centre.Y) < Math.Min(one.Height, other.Height) / 2;
}
