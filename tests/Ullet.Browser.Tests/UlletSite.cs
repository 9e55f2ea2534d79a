using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Extensions.DependencyInjection;

namespace Ullet.Browser.Tests;

/// <summary>A real loopback server with the built web app and demo data in a folder of its own.</summary>
public sealed class UlletSite : IDisposable
{
    private readonly WebApplicationFactory<Program> _factory;
    private readonly RequestRecorder? _recorder = RequestRecorder.Folder is { } folder ? new(folder) : null;

    public UlletSite()
    {
        DataFolder = Directory.CreateTempSubdirectory("ullet-site-").FullName;
        _factory = new WebApplicationFactory<Program>().WithWebHostBuilder(host =>
            host.UseSetting("data", DataFolder)
                .UseSetting("demo", "true")
                .UseSetting("port", "0")
                .UseSetting("web", Path.Combine(Repository.Root, "src/ullet-web/dist"))
                .ConfigureServices(services =>
                {
                    if (_recorder is not null)
                    {
                        services.AddSingleton<IStartupFilter>(_recorder);
                    }
                })
        );
        _factory.UseKestrel(0);
        _factory.StartServer();
        var addresses = _factory
            .Services.GetRequiredService<IServer>()
            .Features.Get<IServerAddressesFeature>()!
            .Addresses;
        Address = new Uri(addresses.First().Replace("[::]", "127.0.0.1").Replace("localhost", "127.0.0.1"));
        Client = new HttpClient { BaseAddress = Address };
    }

    private Browser? _browser;

    /// <summary>A person who comes for the first time.</summary>
    internal Visitor Visitor()
    {
        _browser ??= new Browser();
        _browser.Renew(Address);
        return new Visitor(_browser, Address);
    }

    public string DataFolder { get; }

    public Uri Address { get; }

    public HttpClient Client { get; }

    public void Dispose()
    {
        _browser?.Dispose();
        Client.Dispose();
        _factory.Dispose();
        _recorder?.Dispose();
        Directory.Delete(DataFolder, recursive: true);
    }
}
