using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Files.StitchLists;

namespace Ullet.Files.StitchFiles;

/// <summary>The stitch list, with hand steps and layers; docs/formats/stitch-list.md.</summary>
internal sealed class StitchListFile : IStitchFormat
{
    public string Ending => "ulst";

    public string MediaType => "text/plain; charset=utf-8";

    public string Name => "stitch list";

    public string About => "What the machine sews and what hands do in between, with the layers; as text";

    public byte[] Write(StitchProgram program) => StitchListExport.Make(program);

    public Result<ImmutableArray<SewnStep>> Read(ReadOnlySpan<byte> file) =>
        StitchListReader.Read(file).Then(program => (Result<ImmutableArray<SewnStep>>)SewnStep.Of(program));
}
