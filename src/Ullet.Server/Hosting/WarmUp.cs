using Ullet.Core.Documents;
using Ullet.Core.Projects;
using Ullet.Server.Demo;

namespace Ullet.Server.Hosting;

/// <summary>What the first answer needs, made up beside the start on another core: how documents are read, and every address's
/// handler.</summary>
internal static class WarmUp
{
    /// <summary>How documents are read and written; begun before anything else.</summary>
    internal static void Documents() =>
        _ = Task.Run(() =>
        {
            var json = ProjectJson.Write(TeaTowelCorner.Make());
            return DocumentReader.Stored(json);
        });

    /// <summary>The handlers; begun as soon as they are known.</summary>
    internal static void Handlers(IEndpointRouteBuilder app) =>
        _ = Task.Run(() => app.DataSources.Sum(source => source.Endpoints.Count));
}
