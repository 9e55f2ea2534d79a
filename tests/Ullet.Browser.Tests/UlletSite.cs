using System.Collections.Concurrent;
using Microsoft.AspNetCore.Builder;
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
        Prepared.CopyTo(DataFolder);
        _factory = Begun(
            DataFolder,
            services =>
            {
                services.AddSingleton<IStartupFilter>(new RequestCounter(Requests));
                if (_recorder is not null)
                {
                    services.AddSingleton<IStartupFilter>(_recorder);
                }
            }
        );
        _factory.UseKestrel(0);
        _factory.StartServer();
        var addresses = _factory
            .Services.GetRequiredService<IServer>()
            .Features.Get<IServerAddressesFeature>()!
            .Addresses;
        // The server's own start goes on beside this one: its address is there once it listens.
        Assert.True(
            SpinWait.SpinUntil(() => addresses.Count > 0, TimeSpan.FromSeconds(30)),
            "The server does not listen."
        );
        Address = new Uri(addresses.First().Replace("[::]", "127.0.0.1").Replace("localhost", "127.0.0.1"));
        Client = new HttpClient { BaseAddress = Address };
    }

    private static readonly PreparedDemo Prepared = new(
        data =>
        {
            var server = Begun(data, _ => { });
            return (server, server.CreateClient());
        },
        withPictures: true
    );

    private Browser? _browser;

    private static WebApplicationFactory<Program> Begun(string data, Action<IServiceCollection> change) =>
        new WebApplicationFactory<Program>().WithWebHostBuilder(host =>
            host.UseSetting("data", data)
                .UseSetting("demo", "true")
                .UseSetting("port", "0")
                .UseSetting("web", Path.Combine(Repository.Root, "src/ullet-web/dist"))
                .ConfigureServices(change)
        );

    /// <summary>What was asked for of projects, in order: "POST edits".</summary>
    internal ConcurrentQueue<string> Requests { get; } = new();

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
        PreparedDemo.Remove(DataFolder);
    }
}

/// <summary>Notes what a page asks for of projects; reading a length changes nothing of one.</summary>
internal sealed class RequestCounter(ConcurrentQueue<string> asked) : IStartupFilter
{
    public Action<IApplicationBuilder> Configure(Action<IApplicationBuilder> next) =>
        app =>
        {
            app.Use(
                (context, further) =>
                {
                    var parts = context.Request.Path.Value?.Split('/') ?? [];
                    if (parts is ["", "api", "projects", _, .., var last])
                    {
                        asked.Enqueue($"{context.Request.Method} {last}");
                    }
                    return further(context);
                }
            );
            next(app);
        };
}
