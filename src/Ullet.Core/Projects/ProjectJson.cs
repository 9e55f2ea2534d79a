using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>The document as JSON text: camel case, enums by name, numbers never as strings.</summary>
public static class ProjectJson
{
    public static readonly JsonSerializerOptions Options = Configure(new JsonSerializerOptions());

    /// <summary>Applies the document's JSON rules to a set of options.</summary>
    public static JsonSerializerOptions Configure(JsonSerializerOptions options)
    {
        options.PropertyNamingPolicy = JsonNamingPolicy.CamelCase;
        options.NumberHandling = JsonNumberHandling.Strict;
        options.RespectNullableAnnotations = true;
        options.AllowDuplicateProperties = false;
        options.TypeInfoResolver = new DefaultJsonTypeInfoResolver().WithAddedModifier(RequireParts);
        options.AllowOutOfOrderMetadataProperties = true;
        options.DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull;
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
        return options;
    }

    private static readonly JsonDocumentOptions Strict = new() { AllowDuplicateProperties = false };

    public static byte[] Write(Project project) => JsonSerializer.SerializeToUtf8Bytes(project, Options);

    /// <summary>Reads a document of this schema or an older one; whether it is whole is asked by <c>DocumentReader</c>.</summary>
    /// <returns>The project, or "project-broken", "project-newer" with a sentence.</returns>
    public static Result<Project> Read(ReadOnlySpan<byte> utf8) => Read(utf8, SchemaUpgrades.Shipped);

    internal static Result<Project> Read(ReadOnlySpan<byte> utf8, SchemaUpgrades upgrades)
    {
        if (JsonDoor.Check(utf8, "project-broken", "This project") is { } wild)
        {
            return wild;
        }
        try
        {
            if (JsonNode.Parse(utf8, documentOptions: Strict) is not JsonObject json)
            {
                return Broken("it is not a JSON object");
            }
            var raised = upgrades.Raise(json);
            if (!raised.IsOk)
            {
                return raised.Refusal!;
            }
            var project = raised.Value.Deserialize<Project>(Options);
            return project is null ? Broken("it is empty") : project;
        }
        catch (JsonException wrong)
        {
            return Broken(JsonWords.Of(wrong));
        }
        catch (Exception wrong) when (wrong is InvalidOperationException or FormatException or NotSupportedException)
        {
            return Broken("a part of it does not say what kind it is, or has a value of another kind");
        }
    }

    private static Refusal Broken(string why) =>
        new("project-broken", "project", $"This project can't be read: {why}.");

    /// <summary>What a constructor asks for and can't be nothing must be there; the reader fills gaps with nulls otherwise.</summary>
    private static void RequireParts(JsonTypeInfo type)
    {
        foreach (var property in type.Properties)
        {
            if (
                property.AssociatedParameter is { HasDefaultValue: false, IsNullable: false }
                && (!property.PropertyType.IsValueType || IsList(property.PropertyType))
            )
            {
                property.IsRequired = true;
            }
        }
    }

    private static bool IsList(Type type) =>
        type.IsGenericType && type.GetGenericTypeDefinition() == typeof(ImmutableArray<>);
}
