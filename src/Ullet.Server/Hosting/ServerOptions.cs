using System.Globalization;
using Ullet.Server.Data;

namespace Ullet.Server.Hosting;

/// <summary>How the server was started.</summary>
/// <param name="Port">Port on loopback; 0 for any free one.</param>
/// <param name="DataFolder">Where the database lies.</param>
/// <param name="WebFolder">The built web app, or null for the interface alone.</param>
/// <param name="Demo">True to fill an empty shelf with demo data.</param>
public sealed record ServerOptions(int Port, string DataFolder, string? WebFolder, bool Demo)
{
    public const int UsualPort = 5190;

    /// <summary>The first port that is tried when a card is shown on a phone.</summary>
    public int PhonePort { get; init; } = UsualPort + 1;

    /// <summary>Reads --port, --data, --web, --demo; the data folder falls back to ULLET_DATA, then to the user's own.</summary>
    /// <exception cref="StartException">When one of them is no value that it can have.</exception>
    public static ServerOptions From(IConfiguration configuration)
    {
        var data =
            configuration["data"]
            ?? Environment.GetEnvironmentVariable("ULLET_DATA")
            ?? Path.Combine(
                Environment.GetEnvironmentVariable("XDG_DATA_HOME") is { Length: > 0 } own
                    ? own
                    : Path.Combine(Environment.GetFolderPath(Environment.SpecialFolder.UserProfile), ".local", "share"),
                "ullet"
            );
        if (data.Length == 0 || data.Contains('\0', StringComparison.Ordinal))
        {
            throw new StartException("--data needs a folder's name.");
        }
        return new ServerOptions(
            PortOf(configuration["port"]),
            Path.GetFullPath(data),
            configuration["web"],
            configuration["demo"] is "true" or "True"
        )
        {
            PhonePort = configuration["phone-port"] is { } phone ? PortOf(phone, "--phone-port") : UsualPort + 1,
        };
    }

    private static int PortOf(string? text, string option = "--port") =>
        text is null ? UsualPort
        : int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var port) && port <= 65535 ? port
        : throw new StartException($"{option} needs a number from 0 to 65535; \"{text}\" is none.");
}
