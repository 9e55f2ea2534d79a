using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Recovery;

/// <summary>Needle points to what can be read off them, in the file's own mm.</summary>
public sealed class ReadingStation : IStation<OpenedForm, BlockReading>
{
    public int Version => 1;

    public long Bytes(BlockReading output) =>
        Footprint.Thing
        + output.Lines.Sum(line => Footprint.Of(line.Points))
        + Footprint.Of(output.Places)
        + (output.Band is { } band ? Footprint.Of(band.Area) : 0);

    public ContentHash Key(OpenedForm input) => ContentHash.Of(input.Needle, $"reading-{Version}");

    public BlockReading Compute(OpenedForm input, CancellationToken cancellation) => BlockReader.Read(input.Points);
}
