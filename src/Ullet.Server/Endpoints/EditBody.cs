using System.Reflection;
using System.Text.Json;
using Microsoft.AspNetCore.Http.Metadata;

namespace Ullet.Server.Endpoints;

/// <summary>A request with an edit in it. How edits are read is made up when the first one comes, not when the server begins: a
/// hundred kinds of edit were half of a start.</summary>
internal sealed record EditBody(EditRequest Request)
    : IBindableFromHttpContext<EditBody>,
        IEndpointParameterMetadataProvider
{
    public static async ValueTask<EditBody?> BindAsync(HttpContext context, ParameterInfo parameter)
    {
        if (!context.Request.HasJsonContentType())
        {
            throw new BadHttpRequestException(
                $"The request's content type must be application/json, not \"{context.Request.ContentType}\".",
                StatusCodes.Status415UnsupportedMediaType
            );
        }
        try
        {
            var read = await context.Request.ReadFromJsonAsync<EditRequest>(context.RequestAborted);
            return read is null
                ? throw new BadHttpRequestException("The request's body is null.", StatusCodes.Status400BadRequest)
                : new EditBody(read);
        }
        catch (JsonException wrong)
        {
            throw new BadHttpRequestException("The request's body is no edit.", StatusCodes.Status400BadRequest, wrong);
        }
    }

    public static void PopulateMetadata(ParameterInfo parameter, EndpointBuilder builder) =>
        builder.Metadata.Add(new AcceptsMetadata(["application/json"], typeof(EditRequest)));
}
