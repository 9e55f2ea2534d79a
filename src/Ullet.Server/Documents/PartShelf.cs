using Ullet.Core.Edits;
using Ullet.Core.Pipeline;
using Ullet.Server.Hosting;

namespace Ullet.Server.Documents;

/// <summary>The parts that a household keeps.</summary>
public sealed class PartShelf(ServerOptions options) : ContentShelf<Part>(options.DataFolder, Kind, ""), IKeptParts
{
    internal const string Kind = "part";

    /// <summary>Most parts.</summary>
    public const int Most = 500;

    /// <summary>Largest of them, bytes.</summary>
    public const int MostBytes = 8_000_000;

    /// <summary>All of them, the newest first.</summary>
    public IReadOnlyList<(string Id, Part Part)> All => [.. Newest];

    /// <summary>Keeps a part for good, or says why it can't be.</summary>
    /// <returns>Its name for ever.</returns>
    internal Task<Result<string>> Add(Part part, AssetStore assets, CancellationToken cancellation) =>
        Add(
            part,
            MostBytes,
            Most,
            bytes => new Refusal(
                "part-too-large",
                "elementIds",
                $"A part may have up to {MostBytes / 1_000_000} MB; this one has {bytes / 1e6:0.0}."
            ),
            () => new Refusal("parts-too-many", "name", $"The shelf holds {Most} parts; remove one first."),
            assets,
            cancellation
        );
}
