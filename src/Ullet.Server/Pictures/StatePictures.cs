using Ullet.Server.Hosting;

namespace Ullet.Server.Pictures;

/// <summary>Pictures of states of projects, as the history shows them.</summary>
public sealed class StatePictures(ServerOptions options)
{
    /// <summary>The longer side of a picture, pixels.</summary>
    public const int Size = 320;

    /// <summary>Most pictures that are kept.</summary>
    internal const int Most = 3000;

    /// <summary>So many of the oldest go when there are more.</summary>
    private const int Cleared = 600;

    private readonly PictureFolder _folder = new(Path.Combine(options.DataFolder, "pictures", "states"));

    /// <summary>A state's picture; null where it is not kept.</summary>
    internal byte[]? Find(string projectId, long revision) => _folder.Find(projectId, revision);

    /// <summary>Keeps a picture; where nothing can be written it is made again the next time.</summary>
    internal void Keep(string projectId, long revision, byte[] png) =>
        _folder.Keep(projectId, revision, png, () => _folder.Clear(Most, Cleared));

    /// <inheritdoc cref="PictureFolder.KeepOnly(IReadOnlySet{string})"/>
    internal void KeepOnly(IReadOnlySet<string> projectIds) => _folder.KeepOnly(projectIds);
}
