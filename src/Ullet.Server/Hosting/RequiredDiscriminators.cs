using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Ullet.Server.Hosting;

/// <summary>Marks the property that tells a union's members apart as required, so that generated clients can narrow by it.</summary>
internal static class RequiredDiscriminators
{
    internal static Task Transform(
        OpenApiSchema schema,
        OpenApiSchemaTransformerContext context,
        CancellationToken cancellation
    )
    {
        foreach (
            var (name, property) in schema.Properties ?? new Dictionary<string, IOpenApiSchema>(StringComparer.Ordinal)
        )
        {
            if (property.Enum is { Count: 1 })
            {
                schema.Required ??= new HashSet<string>(StringComparer.Ordinal);
                schema.Required.Add(name);
            }
        }
        return Task.CompletedTask;
    }
}
