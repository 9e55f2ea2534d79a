using System.Collections.Concurrent;
using System.Threading.Channels;
using Ullet.Server.Hosting;

namespace Ullet.Server.Pictures;

/// <summary>The pictures on the shelf: a file for each project's head, beside the database. They are made of what is saved, so a lost
/// one is made again.</summary>
public sealed class ShelfPictures(ServerOptions options)
{
    /// <summary>The longer side of a picture on the shelf, pixels.</summary>
    public const int Size = 480;

    private readonly PictureFolder _folder = new(Path.Combine(options.DataFolder, "pictures"));
    private readonly ConcurrentDictionary<string, bool> _wanted = new(StringComparer.Ordinal);
    private readonly Channel<string> _queue = Channel.CreateUnbounded<string>();

    /// <summary>A project was saved whose picture is to be made; of heads that follow one another only the newest is.</summary>
    internal void Want(string projectId)
    {
        if (_wanted.TryAdd(projectId, true))
        {
            _queue.Writer.TryWrite(projectId);
        }
    }

    /// <summary>The next project whose picture is wanted, once there is one.</summary>
    internal async Task<string> Next(CancellationToken cancellation)
    {
        var id = await _queue.Reader.ReadAsync(cancellation);
        _wanted.TryRemove(id, out _);
        return id;
    }

    /// <summary>The picture of a head; null where it is not made yet.</summary>
    internal byte[]? Find(string projectId, long revision) => _folder.Find(projectId, revision);

    internal bool Has(string projectId, long revision) => _folder.Has(projectId, revision);

    /// <summary>Keeps a picture, and takes those of the project's older heads away. One that can't be kept is made again when it is
    /// asked for.</summary>
    /// <returns>True when it is kept.</returns>
    internal bool Keep(string projectId, long revision, byte[] png) =>
        _folder.Keep(projectId, revision, png, () => _folder.KeepOnly(projectId, revision));

    /// <inheritdoc cref="PictureFolder.KeepOnly(IReadOnlySet{string})"/>
    internal void KeepOnly(IReadOnlySet<string> projectIds) => _folder.KeepOnly(projectIds);
}
