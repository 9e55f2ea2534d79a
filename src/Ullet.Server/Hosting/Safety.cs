using System.Security.Cryptography;
using Ullet.Core.Pipeline;
using Ullet.Server.Endpoints;

namespace Ullet.Server.Hosting;

/// <summary>What keeps strangers out: own host, same-origin writes, a strict content security policy, nothing kept by caches.</summary>
internal static class Safety
{
    internal const string NonceItem = "csp-nonce";

    private static readonly string[] Hosts = ["localhost", "127.0.0.1", "[::1]"];

    internal static void Use(WebApplication app) =>
        app.Use(
            async (http, next) =>
            {
                AddHeaders(http);
                if (!Hosts.Contains(http.Request.Host.Host, StringComparer.OrdinalIgnoreCase))
                {
                    await Refuse(
                        http,
                        new Refusal("foreign-host", "Host", "Ullet answers at localhost and 127.0.0.1 only."),
                        StatusCodes.Status400BadRequest
                    );
                    return;
                }
                if (IsForeignWrite(http.Request))
                {
                    await Refuse(
                        http,
                        new Refusal("foreign-origin", "Origin", "Changes are taken from Ullet's own pages only."),
                        StatusCodes.Status403Forbidden
                    );
                    return;
                }
                await RequestBody.Look(http, _ => next());
            }
        );

    /// <summary>A word that a page's own scripts and styles bear, new for every answer.</summary>
    internal static string NewNonce() => Convert.ToBase64String(RandomNumberGenerator.GetBytes(16));

    internal static Task Refuse(HttpContext http, Refusal refusal, int status)
    {
        http.Response.StatusCode = status;
        return http.Response.WriteAsJsonAsync(
            Problems.Details(refusal, status),
            options: null,
            contentType: "application/problem+json"
        );
    }

    private static void AddHeaders(HttpContext http)
    {
        var nonce = NewNonce();
        http.Items[NonceItem] = nonce;
        // The reference page brings a script of its own that writes inline styles.
        var isReference = http.Request.Path.StartsWithSegments("/docs", StringComparison.Ordinal);
        var styles = isReference ? "'unsafe-inline'" : $"'nonce-{nonce}'";
        var scripts = isReference ? "'self' 'unsafe-inline'" : "'self'";
        var headers = http.Response.Headers;
        headers.ContentSecurityPolicy =
            $"default-src 'self'; script-src {scripts}; style-src 'self' {styles}; img-src 'self' data: blob:; "
            + "font-src 'self' data:; connect-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "no-referrer";
        headers["Cross-Origin-Resource-Policy"] = "same-origin";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        if (http.Request.Path.StartsWithSegments("/api", StringComparison.Ordinal))
        {
            // What never changes says so itself; everything else is asked for anew.
            http.Response.OnStarting(() =>
            {
                if (
                    headers.CacheControl.Count == 0
                    || !headers.CacheControl.ToString().Contains("immutable", StringComparison.Ordinal)
                )
                {
                    headers.CacheControl = "no-store";
                }
                return Task.CompletedTask;
            });
        }
    }

    /// <summary>True for a change that a page of another origin asks for. With neither header it is a program on this computer, as
    /// Ullet listens on loopback only.</summary>
    private static bool IsForeignWrite(HttpRequest request)
    {
        if (HttpMethods.IsGet(request.Method) || HttpMethods.IsHead(request.Method))
        {
            return false;
        }
        var origin = request.Headers.Origin.ToString();
        var site = request.Headers["Sec-Fetch-Site"].ToString();
        return (origin.Length > 0 && !IsOwn(origin, request)) || site is not ("" or "same-origin" or "none");
    }

    private static bool IsOwn(string origin, HttpRequest request) =>
        Uri.TryCreate(origin, UriKind.Absolute, out var uri)
        && string.Equals(uri.Scheme, request.Scheme, StringComparison.OrdinalIgnoreCase)
        && string.Equals(uri.Authority, request.Host.Value, StringComparison.OrdinalIgnoreCase);
}
