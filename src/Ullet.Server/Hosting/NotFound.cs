using Microsoft.AspNetCore.Routing.Template;
using Ullet.Core.Pipeline;

namespace Ullet.Server.Hosting;

/// <summary>Answers what no endpoint took: 405 where the address is one of ours and only the method is not, 415
/// where only the type of what was sent is not, else 404.</summary>
internal static class NotFound
{
    internal static void Map(WebApplication app) =>
        app.Map(
                "/api/{**path}",
                async (HttpContext http, EndpointDataSource endpoints) =>
                {
                    var path = http.Request.Path;
                    var methods = Methods(endpoints, path);
                    if (methods.Count == 0)
                    {
                        await Safety.Refuse(
                            http,
                            new Refusal("address-unknown", path, $"There is nothing at {path}.")
                            {
                                Kind = RefusalKind.NotFound,
                            },
                            StatusCodes.Status404NotFound
                        );
                        return;
                    }
                    if (methods.Contains(http.Request.Method))
                    {
                        await Safety.Refuse(
                            http,
                            new Refusal(
                                "media-type",
                                "Content-Type",
                                $"What was sent to {path} is not of the type that is taken there."
                            ),
                            StatusCodes.Status415UnsupportedMediaType
                        );
                        return;
                    }
                    http.Response.Headers.Allow = string.Join(", ", methods);
                    await Safety.Refuse(
                        http,
                        new Refusal(
                            "method-unknown",
                            path,
                            $"{path} takes {string.Join(" and ", methods)}; {http.Request.Method} is none of that."
                        ),
                        StatusCodes.Status405MethodNotAllowed
                    );
                }
            )
            .ExcludeFromDescription();

    private static List<string> Methods(EndpointDataSource endpoints, PathString path) =>
        [
            .. endpoints
                .Endpoints.OfType<RouteEndpoint>()
                .Where(endpoint =>
                    endpoint.RoutePattern.RawText is { } raw && !raw.Contains("**", StringComparison.Ordinal)
                )
                .Where(endpoint =>
                    new TemplateMatcher(
                        TemplateParser.Parse(endpoint.RoutePattern.RawText!.TrimStart('/')),
                        []
                    ).TryMatch(path, [])
                )
                .SelectMany(endpoint => endpoint.Metadata.GetMetadata<HttpMethodMetadata>()?.HttpMethods ?? [])
                .Distinct()
                .Order(StringComparer.Ordinal),
        ];
}
