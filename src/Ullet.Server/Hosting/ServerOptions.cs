namespace Ullet.Server.Hosting;

/// <summary>How the server was started.</summary>
/// <param name="Port">Port on loopback; 0 for any free one.</param>
/// <param name="DataFolder">Where the database lies.</param>
/// <param name="WebFolder">The built web app, or null for the interface alone.</param>
/// <param name="Demo">True to fill an empty shelf with demo data.</param>
public sealed record ServerOptions(int Port, string DataFolder, string? WebFolder, bool Demo)
{
    public const int UsualPort = 5190;

    /// <summary>Reads --port, --data, --web, --demo; the data folder falls back to ULLET_DATA, then to the user's own.</summary>
    public static ServerOptions From(IConfiguration configuration)
    {
        var data =
            configuration["data"]
            ?? Environment.GetEnvironmentVariable("ULLET_DATA")
            ?? Path.Combine(
                Environment.GetFolderPath(Environment.SpecialFolder.UserProfile),
                ".local",
                "share",
                "ullet"
            );
        return new ServerOptions(
            configuration.GetValue("port", UsualPort),
            Path.GetFullPath(data),
            configuration["web"],
            configuration.GetValue("demo", false)
        );
    }
}
