using System.Globalization;

namespace Ullet.Server.Data;

/// <summary>The folder with a person's data, held by one server at a time.</summary>
/// <remarks>The hold is a lock of the operating system on a file: it goes with its process, however that ends. The file says who
/// holds it.</remarks>
internal sealed class DataFolder : IDisposable
{
    internal const string LockName = "ullet.lock";

    /// <summary>Says who holds the folder: a locked file can't be read by others.</summary>
    private const string OwnerName = "ullet.running";

    /// <summary>"No space left on device", as Unix and .NET number it.</summary>
    private const int NoSpace = 28;

    private const int ReadOnlyFiles = 30;

    private readonly FileStream _lock;

    private DataFolder(string path, FileStream file) => (Path, _lock) = (path, file);

    internal string Path { get; }

    /// <summary>Makes the folder where there is none, and takes hold of it.</summary>
    /// <exception cref="StartException">When it can't be written, or another server holds it.</exception>
    internal static DataFolder Hold(string path)
    {
        var file = System.IO.Path.Combine(path, LockName);
        try
        {
            Directory.CreateDirectory(path);
        }
        catch (Exception wrong) when (wrong is IOException or UnauthorizedAccessException)
        {
            throw Unwritable(path, wrong);
        }
        try
        {
            var hold = new FileStream(file, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None);
            Sign(hold, path);
            return new DataFolder(path, hold);
        }
        catch (UnauthorizedAccessException wrong)
        {
            throw Unwritable(path, wrong);
        }
        catch (IOException wrong) when (!IsNoSpace(wrong) && !IsReadOnly(wrong) && File.Exists(file))
        {
            throw new StartException(
                $"Another Ullet ({Owner(path)}) uses the data in {path}. Close it first, or start this one with another folder (--data DIR)."
            );
        }
        catch (IOException wrong)
        {
            throw Unwritable(path, wrong);
        }
    }

    /// <summary>True when a server holds the folder now.</summary>
    internal static bool IsHeld(string path)
    {
        var file = System.IO.Path.Combine(path, LockName);
        if (!File.Exists(file))
        {
            return false;
        }
        try
        {
            using var hold = new FileStream(file, FileMode.Open, FileAccess.ReadWrite, FileShare.None);
            return false;
        }
        catch (IOException)
        {
            return true;
        }
    }

    /// <summary>Why a folder can't be used, as a sentence.</summary>
    internal static StartException Unwritable(string path, Exception wrong) =>
        IsNoSpace(wrong)
            ? new StartException(
                $"The disk with the data folder {path} is full. Make room on it and start again; nothing of yours was changed."
            )
        : wrong is UnauthorizedAccessException || IsReadOnly(wrong)
            ? new StartException(
                $"Ullet may not write to the data folder {path}. Give it the right to, or choose another folder (--data DIR)."
            )
        : new StartException(
            $"The data folder {path} can't be used ({wrong.Message.TrimEnd('.')}). Choose another one (--data DIR)."
        );

    internal static bool IsNoSpace(Exception wrong) => wrong is IOException && (wrong.HResult & 0xffff) == NoSpace;

    private static bool IsReadOnly(Exception wrong) => (wrong.HResult & 0xffff) == ReadOnlyFiles;

    public void Dispose()
    {
        try
        {
            File.Delete(System.IO.Path.Combine(Path, OwnerName));
            File.Delete(System.IO.Path.Combine(Path, LockName));
        }
        catch (Exception wrong) when (wrong is IOException or UnauthorizedAccessException)
        {
            // It stays, unlocked, and the next server takes it.
        }
        _lock.Dispose();
    }

    private static void Sign(FileStream hold, string path)
    {
        try
        {
            File.WriteAllText(
                System.IO.Path.Combine(path, OwnerName),
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"process {Environment.ProcessId}, since {DateTime.Now:yyyy-MM-dd HH:mm}"
                )
            );
        }
        catch (Exception wrong) when (wrong is IOException or UnauthorizedAccessException)
        {
            hold.Dispose();
            throw Unwritable(path, wrong);
        }
    }

    /// <summary>Who holds the folder, as it says itself.</summary>
    private static string Owner(string path)
    {
        try
        {
            return File.ReadAllText(System.IO.Path.Combine(path, OwnerName)) is { Length: > 0 } words
                ? words
                : "just started";
        }
        catch (Exception wrong) when (wrong is IOException or UnauthorizedAccessException)
        {
            return "just started";
        }
    }
}
