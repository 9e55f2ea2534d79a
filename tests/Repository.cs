namespace Ullet.Tests;

/// <summary>Where the sources lie that tests read.</summary>
internal static class Repository
{
    internal static readonly string Root = Found();

    /// <exception cref="InvalidOperationException">When the tests run outside the repository.</exception>
    private static string Found()
    {
        var folder = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(folder, "Ullet.slnx")))
        {
            folder =
                Path.GetDirectoryName(folder)
                ?? throw new InvalidOperationException("The repository's root was not found.");
        }
        return folder;
    }
}
