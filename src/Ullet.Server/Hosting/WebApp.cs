using Microsoft.Extensions.FileProviders;

namespace Ullet.Server.Hosting;

/// <summary>Serves the built web app; every address that is no file and no interface gets its one page.</summary>
internal static class WebApp
{
    /// <summary>The files; must stand before routing, which would give their addresses to the page.</summary>
    internal static void UseFiles(WebApplication app, string folder)
    {
        var files = new PhysicalFileProvider(Path.GetFullPath(folder));
        app.UseStaticFiles(
            new StaticFileOptions
            {
                FileProvider = files,
                OnPrepareResponse = context =>
                    context.Context.Response.Headers.CacheControl = context.Context.Request.Path.StartsWithSegments(
                        "/assets",
                        StringComparison.Ordinal
                    )
                        ? "public, max-age=31536000, immutable"
                        : "no-cache",
            }
        );
    }

    /// <summary>The one page.</summary>
    internal static void MapPage(WebApplication app, string folder)
    {
        app.MapFallback(
                "{*path:nonfile}",
                async http =>
                {
                    var nonce = (string)http.Items[Safety.NonceItem]!;
                    var page = await File.ReadAllTextAsync(Path.Combine(folder, "index.html"), http.RequestAborted);
                    http.Response.ContentType = "text/html; charset=utf-8";
                    http.Response.Headers.CacheControl = "no-store";
                    await http.Response.WriteAsync(page.Replace("__NONCE__", nonce), http.RequestAborted);
                }
            )
            .ExcludeFromDescription();
    }
}
