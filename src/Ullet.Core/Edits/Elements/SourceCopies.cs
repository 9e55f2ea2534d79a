using System.Collections.Immutable;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Makes copies that were made with one another use each other: a copied letter is carved by the copied name.</summary>
internal sealed class SourceCopies
{
    private readonly Dictionary<string, string> _copies = new(StringComparer.Ordinal);

    internal void Add(string original, string copy) => _copies[original] = copy;

    /// <summary>The document in which every copy uses copies of what its original used, where they were copied as well.</summary>
    internal Project Redirected(Project project)
    {
        var copies = _copies.Values.ToHashSet(StringComparer.Ordinal);
        return project with
        {
            Elements =
            [
                .. project.Elements.Select(element =>
                    copies.Contains(element.Id)
                        ? element with
                        {
                            Operations =
                            [
                                .. element.Operations.Select(operation =>
                                    operation.WithSources(id => _copies.GetValueOrDefault(id, id))
                                ),
                            ],
                        }
                        : element
                ),
            ],
        };
    }
}
