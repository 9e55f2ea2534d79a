using Ullet.Core.Makings;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>The cloths and threads that an element names: in makings in use and kept, and in its operations.</summary>
internal static class NamedIds
{
    internal static IEnumerable<string> ClothsOf(Element element) =>
        element
            .Makings()
            .SelectMany(making => MakingModules.Of(making).ClothIds(making))
            .Concat(element.Operations.OfType<Split>().Select(split => split.RightClothId).OfType<string>());

    internal static IEnumerable<string> ThreadsOf(Element element) =>
        element.Makings().SelectMany(making => MakingModules.Of(making).ThreadIds(making));

    /// <summary>The element with other ids in the place of those that it names. A split's cloth that is not in the map becomes the
    /// element's own.</summary>
    internal static Element Renamed(Element element, IdMap ids) =>
        element.Remade(making => MakingModules.Of(making).Renamed(making, ids)) with
        {
            Operations =
            [
                .. element.Operations.Select(operation =>
                    operation is Split { RightClothId: { } cloth } split
                        ? split with
                        {
                            RightClothId = ids.Cloths.GetValueOrDefault(cloth),
                        }
                        : operation
                ),
            ],
        };
}
