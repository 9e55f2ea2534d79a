using System.ComponentModel;
using Microsoft.AspNetCore.Http.Metadata;
using Ullet.Core.Pipeline;

namespace Ullet.Server.Hosting;

/// <summary>Gives a sentence to requests that a handler bound at build could not read and left without one.</summary>
internal static class UnreadAddress
{
    internal static async Task Answer(HttpContext http, RequestDelegate next)
    {
        await next(http);
        if (
            http.Response is { StatusCode: StatusCodes.Status400BadRequest, HasStarted: false, ContentType: null }
            && http.GetEndpoint() is { } endpoint
        )
        {
            await Safety.Refuse(http, Of(http.Request.Query, endpoint), StatusCodes.Status400BadRequest);
        }
    }

    /// <summary>Names the first value of the address that is not of its kind.</summary>
    private static Refusal Of(IQueryCollection query, Endpoint endpoint)
    {
        foreach (var parameter in endpoint.Metadata.GetOrderedMetadata<IParameterBindingMetadata>())
        {
            var type = parameter.ParameterInfo.ParameterType;
            var kind = Nullable.GetUnderlyingType(type) ?? type;
            if (
                query.TryGetValue(parameter.Name, out var values)
                && values.ToString() is var value
                && !TypeDescriptor.GetConverter(kind).IsValid(value)
            )
            {
                return NoValue(parameter.Name, value);
            }
        }
        return new Refusal(
            "request-broken",
            "query",
            "The request can't be read: a value in its address is missing, or not of its kind."
        );
    }

    /// <summary>The refusal of a value that a field of the address can't have.</summary>
    internal static Refusal NoValue(string name, string value)
    {
        var field = char.ToLowerInvariant(name[0]) + name[1..];
        return new Refusal("request-broken", field, $"\"{value}\" is no value that \"{field}\" can have.");
    }
}
