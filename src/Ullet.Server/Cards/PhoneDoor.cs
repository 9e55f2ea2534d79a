using System.Collections.Immutable;
using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;
using System.Security.Cryptography;
using Ullet.Core.Pipeline;
using Ullet.Server.Hosting;

namespace Ullet.Server.Cards;

/// <summary>A door to the local network that shows one project's card, while its switch is on.</summary>
/// <param name="ProjectId">The project.</param>
/// <param name="Code">Six figures that a phone is asked for.</param>
/// <param name="Addresses">Where it is found.</param>
internal sealed record OpenDoor(string ProjectId, string Code, ImmutableArray<string> Addresses);

/// <summary>Opens and shuts the door: a listener of its own, on a port of its own, with nothing behind it but card pages.</summary>
internal sealed class PhoneDoor(IServiceScopeFactory scopes, ServerOptions options) : IAsyncDisposable
{
    /// <summary>How many ports after the first are tried.</summary>
    private const int Tries = 20;

    private const int CodeSigns = 6;

    private readonly SemaphoreSlim _turn = new(1, 1);
    private WebApplication? _listener;

    /// <summary>The door as it stands open; null while it is shut.</summary>
    internal OpenDoor? Open { get; private set; }

    /// <summary>Opens the door for a project; one that stood open is shut, and its code ends.</summary>
    internal async Task<Result<OpenDoor>> OpenFor(string projectId)
    {
        await _turn.WaitAsync();
        try
        {
            await ShutNow();
            var hosts = Hosts();
            if (hosts.IsEmpty)
            {
                return new Refusal(
                    "no-network",
                    "phone",
                    "This computer is on no network, so no phone can reach it. Join it to the network that the phone is on."
                );
            }
            var code = RandomNumberGenerator.GetInt32(1_000_000).ToString($"D{CodeSigns}");
            var first = options.PhonePort;
            for (var port = first; port < first + Tries; port++)
            {
                var listener = PhoneListener.Build(port, new PhoneGuard(code), new CardSource(scopes, projectId));
                try
                {
                    await listener.StartAsync();
                }
                catch (IOException) when (port < first + Tries - 1)
                {
                    await listener.DisposeAsync();
                    continue;
                }
                catch (IOException wrong)
                {
                    await listener.DisposeAsync();
                    return new Refusal("port-taken", "phone", $"No port from {first} on is free: {wrong.Message}");
                }
                _listener = listener;
                Open = new OpenDoor(projectId, code, [.. hosts.Select(host => $"http://{host}:{port}/")]);
                return Open;
            }
            throw new InvalidOperationException("Every port was tried and none told.");
        }
        finally
        {
            _turn.Release();
        }
    }

    /// <summary>Shuts the door: address and code end.</summary>
    internal async Task Shut()
    {
        await _turn.WaitAsync();
        try
        {
            await ShutNow();
        }
        finally
        {
            _turn.Release();
        }
    }

    public async ValueTask DisposeAsync()
    {
        await Shut();
        _turn.Dispose();
    }

    private async Task ShutNow()
    {
        Open = null;
        if (_listener is { } listener)
        {
            _listener = null;
            using var soon = new CancellationTokenSource(TimeSpan.FromSeconds(1));
            await listener.StopAsync(soon.Token);
            await listener.DisposeAsync();
        }
    }

    /// <summary>This computer's own addresses in its networks.</summary>
    private static ImmutableArray<string> Hosts() =>
        [
            .. NetworkInterface
                .GetAllNetworkInterfaces()
                .Where(card =>
                    card.OperationalStatus == OperationalStatus.Up
                    && card.NetworkInterfaceType != NetworkInterfaceType.Loopback
                )
                .SelectMany(card => card.GetIPProperties().UnicastAddresses)
                .Select(own => own.Address)
                .Where(address => address.AddressFamily == AddressFamily.InterNetwork && !IPAddress.IsLoopback(address))
                .Select(address => address.ToString())
                .Distinct(StringComparer.Ordinal),
        ];
}
