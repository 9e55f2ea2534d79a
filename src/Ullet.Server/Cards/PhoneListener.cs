using System.Net;
using System.Text;
using Microsoft.AspNetCore.ResponseCompression;
using Ullet.Server.Hosting;

namespace Ullet.Server.Cards;

/// <summary>What listens to the local network: a question for the code, the card, and its state. Everything else is not there.</summary>
internal static class PhoneListener
{
    private const string Card = "/card";
    private const string State = "/card/state";

    /// <summary>More than a code and its field's name is not read, bytes.</summary>
    private const int MostBody = 256;

    private const int CodeSigns = 6;

    internal static WebApplication Build(int port, PhoneGuard guard, CardSource source)
    {
        var builder = WebApplication.CreateSlimBuilder();
        // Nothing of what is asked here is written down.
        builder.Logging.ClearProviders();
        builder.WebHost.ConfigureKestrel(kestrel =>
        {
            kestrel.AddServerHeader = false;
            kestrel.Limits.MaxRequestBodySize = MostBody;
            kestrel.Limits.MaxConcurrentConnections = 64;
            kestrel.Limits.RequestHeadersTimeout = TimeSpan.FromSeconds(10);
            kestrel.Listen(IPAddress.Any, port);
        });
        builder.Services.AddResponseCompression(compression =>
            compression.MimeTypes = ResponseCompressionDefaults.MimeTypes.Append("text/html")
        );
        var app = builder.Build();
        app.UseResponseCompression();
        app.Run(http => Answer(http, guard, source));
        return app;
    }

    private static Task Answer(HttpContext http, PhoneGuard guard, CardSource source)
    {
        var (request, path) = (http.Request, http.Request.Path.Value ?? "");
        http.Response.Headers.CacheControl = "no-store";
        http.Response.Headers.XContentTypeOptions = "nosniff";
        // With no referrer at all a browser would hide the page's own origin from the form that it sends.
        http.Response.Headers["Referrer-Policy"] = "same-origin";
        // A page of elsewhere that has a name pointed here is not answered: phones come by the address.
        if (!IPAddress.TryParse(request.Host.Host, out _) || request.QueryString.HasValue)
        {
            return Nothing(http);
        }
        var isKnown = guard.Knows(request.Cookies[PhoneGuard.Cookie]);
        return (request.Method, path) switch
        {
            ("GET", "/") when isKnown => To(http, Card),
            ("GET", "/") => Ask(http, "", StatusCodes.Status200OK),
            ("POST", "/") => Given(http, guard),
            ("GET", Card) when isKnown => Show(http, source),
            ("GET", Card) => To(http, "/"),
            ("GET", State) when isKnown => Tell(http, source),
            ("GET", State) => Nothing(http, StatusCodes.Status401Unauthorized),
            _ => Nothing(http),
        };
    }

    private static Task Nothing(HttpContext http, int status = StatusCodes.Status404NotFound)
    {
        http.Response.StatusCode = status;
        return Task.CompletedTask;
    }

    private static Task To(HttpContext http, string address)
    {
        http.Response.StatusCode = StatusCodes.Status303SeeOther;
        http.Response.Headers.Location = address;
        return Task.CompletedTask;
    }

    private static async Task Given(HttpContext http, PhoneGuard guard)
    {
        var origin = http.Request.Headers.Origin.ToString();
        if (!http.Request.HasFormContentType || (origin.Length > 0 && origin != $"http://{http.Request.Host.Value}"))
        {
            await Nothing(http);
            return;
        }
        string given;
        try
        {
            given = (await http.Request.ReadFormAsync(http.RequestAborted))["code"].ToString();
        }
        catch (Exception wrong) when (wrong is BadHttpRequestException or InvalidDataException)
        {
            await Nothing(http, StatusCodes.Status400BadRequest);
            return;
        }
        switch (guard.Given(given))
        {
            case GivenCode.Right:
                http.Response.Cookies.Append(
                    PhoneGuard.Cookie,
                    guard.Token,
                    new CookieOptions
                    {
                        HttpOnly = true,
                        SameSite = SameSiteMode.Strict,
                        Path = "/",
                    }
                );
                await To(http, Card);
                break;
            case GivenCode.Wrong:
                await Ask(
                    http,
                    "That is not the code. It stands in Ullet, beside the switch.",
                    StatusCodes.Status401Unauthorized
                );
                break;
            case GivenCode.Locked:
                await Ask(
                    http,
                    "Too many wrong codes were given: none is taken any more. Turn the switch in Ullet off and on for a new one.",
                    StatusCodes.Status429TooManyRequests
                );
                break;
            default:
                throw new InvalidOperationException("Unknown answer to a code.");
        }
    }

    private static async Task Show(HttpContext http, CardSource source)
    {
        var nonce = Safety.NewNonce();
        if (await source.Page(State, nonce, http.RequestAborted) is not { } page)
        {
            await Nothing(http);
            return;
        }
        http.Response.Headers.ContentSecurityPolicy = CardPage.Policy(nonce);
        await Write(http, page);
    }

    private static async Task Tell(HttpContext http, CardSource source)
    {
        if (await source.Now(http.RequestAborted) is not { } evaluated)
        {
            await Nothing(http);
            return;
        }
        http.Response.ContentType = "text/plain; charset=utf-8";
        await http.Response.WriteAsync(evaluated.Program.Code, http.RequestAborted);
    }

    private static Task Ask(HttpContext http, string said, int status)
    {
        var nonce = Safety.NewNonce();
        http.Response.StatusCode = status;
        http.Response.Headers.ContentSecurityPolicy =
            $"default-src 'none'; style-src 'nonce-{nonce}'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";
        return Write(
            http,
            $"""
            <!doctype html><html lang="en"><head><meta charset="utf-8"><title>Card: the code</title>
            <meta name="viewport" content="width=device-width,initial-scale=1"><style nonce="{nonce}">
            body{"{"}margin:0;padding:24px;font-family:system-ui,sans-serif;font-size:20px;line-height:1.4;color:#1d2a3a;background:#f3f5f7{"}"}
            main{"{"}max-width:420px;margin:0 auto{"}"}label{"{"}display:block;margin:18px 0 6px;font-weight:600{"}"}
            input,button{"{"}font:inherit;width:100%;min-height:56px;padding:8px 14px;border-radius:10px;border:1px solid #8793a1{"}"}
            input{"{"}letter-spacing:.3em;font-size:28px;text-align:center{"}"}
            button{"{"}margin-top:14px;background:#3b4ba3;border-color:#3b4ba3;color:#fff;font-weight:700{"}"}
            :focus-visible{"{"}outline:3px solid #3b4ba3;outline-offset:2px{"}"}p[role]{"{"}color:#8f2328;font-weight:600{"}"}
            </style></head><body><main><h1>The card</h1><p>Ullet shows a code of six figures beside the switch. Type it here.</p>
            <form method="post" action="/"><label for="code">Code</label><input id="code" name="code" inputmode="numeric" autocomplete="off" maxlength="{CodeSigns}" required autofocus>
            <button type="submit">Open the card</button></form>{(
                said.Length > 0 ? $"<p role=\"alert\">{said}</p>" : ""
            )}</main></body></html>
            """
        );
    }

    private static Task Write(HttpContext http, string page)
    {
        http.Response.ContentType = "text/html; charset=utf-8";
        return http.Response.WriteAsync(page, Encoding.UTF8, http.RequestAborted);
    }
}
