using System.Net.Sockets;
using Microsoft.AspNetCore.Connections;
using Ullet.Server.Data;

namespace Ullet.Server.Hosting;

/// <summary>Begins to listen, or says why it can't.</summary>
internal static class Listening
{
    /// <exception cref="StartException">When the port is taken or not allowed.</exception>
    internal static async Task Start(WebApplication app, int port)
    {
        try
        {
            await app.StartAsync();
        }
        catch (IOException wrong) when (wrong.InnerException is AddressInUseException)
        {
            throw new StartException(
                $"Port {port} is taken by another program, perhaps by an Ullet that still runs. Close it, or choose another port (--port N)."
            );
        }
        catch (Exception wrong) when (wrong is SocketException || wrong.InnerException is SocketException)
        {
            throw new StartException($"Ullet can't listen at port {port}. Choose another one (--port N).");
        }
    }
}
