using Ullet.Core.Edits;
using Ullet.Core.Pipeline;
using Ullet.Server.Hosting;

namespace Ullet.Server.Documents;

/// <summary>The drawings that a person put on the shelf.</summary>
public sealed class OwnSketchShelf(ServerOptions options)
    : ContentShelf<OwnSketch>(options.DataFolder, AssetStore.SketchKind, "own-"),
        IOwnSketches
{
    /// <summary>Most drawings of a person's own.</summary>
    public const int Most = 500;

    /// <summary>Largest of them, bytes.</summary>
    public const int MostBytes = 2_000_000;

    /// <summary>All of them, the newest first.</summary>
    public IReadOnlyList<(string Id, OwnSketch Sketch)> All => [.. Newest];

    /// <summary>Puts a drawing on the shelf for good, or says why it can't be.</summary>
    /// <returns>Its name for ever.</returns>
    internal Task<Result<string>> Add(OwnSketch sketch, AssetStore assets, CancellationToken cancellation) =>
        Add(
            sketch,
            MostBytes,
            Most,
            _ => new Refusal("sketch-too-large", "elementIds", "The drawing has more nodes than the shelf can hold."),
            () =>
                new Refusal(
                    "sketches-too-many",
                    "name",
                    $"The shelf holds {Most} drawings of your own; remove one first."
                ),
            assets,
            cancellation
        );
}
