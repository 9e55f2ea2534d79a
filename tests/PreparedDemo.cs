using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ullet.Tests;

/// <summary>A data folder with the demo in it, made once by a server; every other server begins with a copy.</summary>
/// <param name="serve">Starts a server on a folder, and gives a client of it.</param>
/// <param name="withPictures">True to have the shelf's pictures made.</param>
internal sealed class PreparedDemo(Func<string, (IDisposable Server, HttpClient Client)> serve, bool withPictures)
{
    private readonly Lazy<string> _folder = new(() => Make(serve, withPictures));

    /// <summary>Copies it into a folder.</summary>
    internal void CopyTo(string data)
    {
        foreach (var file in Directory.EnumerateFiles(_folder.Value, "*.*", SearchOption.AllDirectories))
        {
            if (file.EndsWith(".db", StringComparison.Ordinal) || file.EndsWith(".png", StringComparison.Ordinal))
            {
                var copy = Path.Combine(data, Path.GetRelativePath(_folder.Value, file));
                Directory.CreateDirectory(Path.GetDirectoryName(copy)!);
                File.Copy(file, copy);
            }
        }
    }

    /// <summary>Takes a stopped server's folder away once it lets go of it: a server closes its database after its host has ended.
    /// </summary>
    internal static void Remove(string data)
    {
        WaitUntilClosed(data);
        Directory.Delete(data, recursive: true);
    }

    private static void WaitUntilClosed(string data)
    {
        var held = Path.Combine(data, "ullet.lock");
        SpinWait.SpinUntil(() => !File.Exists(held) || IsFree(held), TimeSpan.FromSeconds(30));
    }

    private static bool IsFree(string file)
    {
        try
        {
            using var hold = new FileStream(file, FileMode.Open, FileAccess.ReadWrite, FileShare.None);
            return true;
        }
        catch (IOException)
        {
            return false;
        }
    }

    private static string Make(Func<string, (IDisposable Server, HttpClient Client)> serve, bool withPictures)
    {
        var data = Directory.CreateTempSubdirectory("ullet-prepared-").FullName;
        AppDomain.CurrentDomain.ProcessExit += (_, _) => Directory.Delete(data, recursive: true);
        var (server, client) = serve(data);
        using (server)
        using (client)
        {
            if (withPictures)
            {
                foreach (
                    var item in client.GetFromJsonAsync<JsonNode>("/api/projects").GetAwaiter().GetResult()!.AsArray()
                )
                {
                    var picture = $"/api/projects/{item!["id"]}/picture.png?size=480&rev={item["head"]}";
                    client.GetByteArrayAsync(picture).GetAwaiter().GetResult();
                }
            }
        }
        // Copied while its journal is being brought in, it would be half a database.
        WaitUntilClosed(data);
        return data;
    }
}
