using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Samples;

/// <summary>Elements seen as what they must be.</summary>
internal static class SeenAs
{
    internal static AppliqueElement Cloth(this Element element) =>
        AppliqueElement.Of(element) ?? throw new ArgumentException($"{element.Name} is no cloth.", nameof(element));

    internal static TextForm Words(this Element element) =>
        element.FormedAs<TextForm>() ?? throw new ArgumentException($"{element.Name} is no text.", nameof(element));

    internal static LineMaking Line(this Element element) =>
        element.MadeAs<LineMaking>() ?? throw new ArgumentException($"{element.Name} is no line.", nameof(element));

    internal static ZoneMaking Zone(this Element element) =>
        element.MadeAs<ZoneMaking>() ?? throw new ArgumentException($"{element.Name} is no zone.", nameof(element));
}
