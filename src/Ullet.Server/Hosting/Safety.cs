using System.Security.Cryptography;
using Ullet.Core.Pipeline;
using Ullet.Server.Endpoints;

namespace Ullet.Server.Hosting;

/// <summary>What keeps strangers out: same-origin writes, upload limits, a strict content security policy.</summary>
internal static class Safety
{
    /// <summary>Largest request, bytes.</summary>
    internal const long LargestRequest = 25_000_000;

    internal const string NonceItem = "csp-nonce";

    internal static void Use(WebApplication app)
    {
        app.Use(
            async (http, next) =>
            {
                AddHeaders(http);
                if (IsForeignWrite(http.Request))
                {
                    await Refuse(
                        http,
                        new Refusal("foreign-origin", "Origin", "Changes are taken from Ullet's own pages only."),
                        StatusCodes.Status403Forbidden
                    );
                    return;
                }
                if (http.Request.ContentLength > LargestRequest)
                {
                    await Refuse(
                        http,
                        new Refusal(
                            "too-large",
                            "file",
                            $"That file has {http.Request.ContentLength / 1e6:0} MB; up to {LargestRequest / 1e6:0} MB are taken."
                        ),
                        StatusCodes.Status413PayloadTooLarge
                    );
                    return;
                }
                await next();
            }
        );
    }

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
        var nonce = Convert.ToBase64String(RandomNumberGenerator.GetBytes(16));
        http.Items[NonceItem] = nonce;
        // The reference page brings a script of its own that writes inline styles.
        var isReference = http.Request.Path.StartsWithSegments("/docs", StringComparison.Ordinal);
        var styles = isReference ? "'unsafe-inline'" : $"'nonce-{nonce}'";
        var scripts = isReference ? "'self' 'unsafe-inline'" : "'self'";
        http.Response.Headers.ContentSecurityPolicy =
            $"default-src 'self'; script-src {scripts}; style-src 'self' {styles}; img-src 'self' data: blob:; "
            + "font-src 'self' data:; connect-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";
        http.Response.Headers.XContentTypeOptions = "nosniff";
        http.Response.Headers["Referrer-Policy"] = "no-referrer";
    }

    private static bool IsForeignWrite(HttpRequest request)
    {
        if (HttpMethods.IsGet(request.Method) || HttpMethods.IsHead(request.Method))
        {
            return false;
        }
        var origin = request.Headers.Origin.ToString();
        return origin.Length > 0
            && !(
                Uri.TryCreate(origin, UriKind.Absolute, out var uri)
                && string.Equals(uri.Authority, request.Host.Value, StringComparison.OrdinalIgnoreCase)
            );
    }
}
