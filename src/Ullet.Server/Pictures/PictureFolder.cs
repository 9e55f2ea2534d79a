namespace Ullet.Server.Pictures;

/// <summary>A folder beside the database with pictures of projects, a file for each state that has one. They are made of what is saved,
/// so a lost one is made again: what can't be read or written is no fault.</summary>
internal sealed class PictureFolder(string folder)
{
    /// <summary>The ending of a picture that is being written.</summary>
    private const string Unfinished = ".part";

    /// <summary>The picture of a state; null where it is not kept.</summary>
    internal byte[]? Find(string projectId, long revision)
    {
        try
        {
            var file = FileOf(projectId, revision);
            return File.Exists(file) ? File.ReadAllBytes(file) : null;
        }
        catch (IOException)
        {
            // It was taken away in the meantime.
            return null;
        }
    }

    internal bool Has(string projectId, long revision) => File.Exists(FileOf(projectId, revision));

    /// <summary>Keeps a picture, whole or not at all.</summary>
    /// <param name="projectId">Whose it is.</param>
    /// <param name="revision">Of which state.</param>
    /// <param name="png">The picture.</param>
    /// <param name="clear">Takes away what the new one makes needless.</param>
    /// <returns>True when it is kept.</returns>
    internal bool Keep(string projectId, long revision, byte[] png, Action clear)
    {
        try
        {
            Directory.CreateDirectory(folder);
            var file = FileOf(projectId, revision);
            var unfinished = $"{file}.{Guid.NewGuid():N}{Unfinished}";
            File.WriteAllBytes(unfinished, png);
            File.Move(unfinished, file, overwrite: true);
            clear();
            return true;
        }
        catch (Exception wrong) when (wrong is IOException or UnauthorizedAccessException)
        {
            return false;
        }
    }

    /// <summary>Takes a project's other pictures away.</summary>
    internal void KeepOnly(string projectId, long revision)
    {
        var kept = FileOf(projectId, revision);
        foreach (var old in Directory.EnumerateFiles(folder, $"{projectId}-*.png").Where(each => each != kept))
        {
            File.Delete(old);
        }
    }

    /// <summary>Takes the pictures away of projects that are not there any more, and what a killed server left unfinished;
    /// one that is being written just now is made again.</summary>
    internal void KeepOnly(IReadOnlySet<string> projectIds)
    {
        if (!Directory.Exists(folder))
        {
            return;
        }
        foreach (var file in Directory.EnumerateFiles(folder))
        {
            var isUnfinished = file.EndsWith(Unfinished, StringComparison.Ordinal);
            if (isUnfinished || !projectIds.Contains(Path.GetFileName(file).Split('-')[0]))
            {
                File.Delete(file);
            }
        }
    }

    /// <summary>Takes the oldest away where there are more than so many.</summary>
    /// <param name="most">Most that may stay.</param>
    /// <param name="atOnce">So many more go then, lest each new picture takes one away.</param>
    internal void Clear(int most, int atOnce)
    {
        var all = new DirectoryInfo(folder).GetFiles();
        if (all.Length <= most)
        {
            return;
        }
        foreach (var old in all.OrderBy(file => file.LastWriteTimeUtc).Take(all.Length - most + atOnce))
        {
            old.Delete();
        }
    }

    private string FileOf(string projectId, long revision) => Path.Combine(folder, $"{projectId}-{revision}.png");
}
