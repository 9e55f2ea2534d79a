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

    /// <summary>The ending of a picture that is being written.</summary>
    private const string Unfinished = ".part";

    private readonly string _folder = Path.Combine(options.DataFolder, "pictures");
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
    internal byte[]? Find(string projectId, long revision)
    {
        var file = FileOf(projectId, revision);
        try
        {
            return File.Exists(file) ? File.ReadAllBytes(file) : null;
        }
        catch (IOException)
        {
            // It was taken away in the meantime: a newer head has one.
            return null;
        }
    }

    internal bool Has(string projectId, long revision) => File.Exists(FileOf(projectId, revision));

    /// <summary>Keeps a picture, and takes those of the project's older heads away. One that can't be kept is made again when it is
    /// asked for.</summary>
    /// <returns>True when it is kept.</returns>
    internal bool Keep(string projectId, long revision, byte[] png)
    {
        try
        {
            Directory.CreateDirectory(_folder);
            var file = FileOf(projectId, revision);
            var unfinished = $"{file}.{Guid.NewGuid():N}{Unfinished}";
            File.WriteAllBytes(unfinished, png);
            File.Move(unfinished, file, overwrite: true);
            foreach (var old in Directory.EnumerateFiles(_folder, $"{projectId}-*.png").Where(each => each != file))
            {
                File.Delete(old);
            }
            return true;
        }
        catch (Exception wrong) when (wrong is IOException or UnauthorizedAccessException)
        {
            return false;
        }
    }

    /// <summary>Takes the pictures away of projects that are not there any more, and what a killed server left unfinished;
    /// one that is being written just now is made again.</summary>
    internal void KeepOnly(IReadOnlySet<string> projectIds)
    {
        if (!Directory.Exists(_folder))
        {
            return;
        }
        foreach (var file in Directory.EnumerateFiles(_folder))
        {
            var isUnfinished = file.EndsWith(Unfinished, StringComparison.Ordinal);
            if (isUnfinished || !projectIds.Contains(Path.GetFileName(file).Split('-')[0]))
            {
                File.Delete(file);
            }
        }
    }

    private string FileOf(string projectId, long revision) => Path.Combine(_folder, $"{projectId}-{revision}.png");
}
