using Ullet.Server.Hosting;

namespace Ullet.Server.Pictures;

/// <summary>Pictures of states of projects, a file each beside the database; made anew when one is lost.</summary>
public sealed class StatePictures(ServerOptions options)
{
    /// <summary>The longer side of a picture, pixels.</summary>
    public const int Size = 320;

    /// <summary>Most pictures that are kept.</summary>
    internal const int Most = 3000;

    /// <summary>So many of the oldest go when there are more.</summary>
    private const int Cleared = 600;

    private readonly string _folder = Path.Combine(options.DataFolder, "pictures", "states");

    /// <summary>A state's picture; null where it is not kept.</summary>
    internal byte[]? Find(string projectId, long revision)
    {
        try
        {
            var file = FileOf(projectId, revision);
            return File.Exists(file) ? File.ReadAllBytes(file) : null;
        }
        catch (IOException)
        {
            // It was cleared in the meantime.
            return null;
        }
    }

    /// <summary>Keeps a picture; where nothing can be written it is made again the next time.</summary>
    internal void Keep(string projectId, long revision, byte[] png)
    {
        try
        {
            Directory.CreateDirectory(_folder);
            var file = FileOf(projectId, revision);
            var unfinished = $"{file}.{Guid.NewGuid():N}.part";
            File.WriteAllBytes(unfinished, png);
            File.Move(unfinished, file, overwrite: true);
            Clear();
        }
        catch (Exception wrong) when (wrong is IOException or UnauthorizedAccessException)
        {
            // A picture is no part of the work.
        }
    }

    private void Clear()
    {
        var all = new DirectoryInfo(_folder).GetFiles();
        if (all.Length <= Most)
        {
            return;
        }
        foreach (var old in all.OrderBy(file => file.LastWriteTimeUtc).Take(all.Length - Most + Cleared))
        {
            old.Delete();
        }
    }

    private string FileOf(string projectId, long revision) => Path.Combine(_folder, $"{projectId}-{revision}.png");
}
