using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Elements lifted out of a project, with the cloths and threads that they name.</summary>
[JsonConverter(typeof(ClipJson))]
public sealed record Clip(
    ImmutableArray<Element> Elements,
    ImmutableArray<Cloth> Cloths,
    ImmutableArray<MachineThread> Threads
)
{
    /// <summary>The stitch files that opened ones of them came from.</summary>
    public ImmutableArray<OpenedFile> Files { get; init; } = [];

    /// <summary>The most elements that one clip may hold.</summary>
    public const int MostElements = 2000;

    /// <summary>Copies elements, or says which is not there. One that is made with elements that are not copied comes as nodes.</summary>
    public static Result<Clip> Of(Project project, IReadOnlyCollection<string> elementIds, EditContext context) =>
        Chosen
            .Find(project, elementIds, mayBeLocked: true)
            .Then(elements => Whole(project, elements, context))
            .Then(elements => (Result<Clip>)Of(project, elements, context));

    /// <summary>The clip of whole elements; what of them is sewn by a pattern comes as its stitches, with its hands.</summary>
    private static Clip Of(Project project, ImmutableArray<Element> elements, EditContext context)
    {
        var parts = elements
            .Where(element => element is { PatternPart: not null, Making: LineMaking, Form: not TextForm })
            .Select(element => element.Id)
            .ToHashSet(StringComparer.Ordinal);
        if (parts.Count > 0)
        {
            (project, var lifted) = PatternClips.Lifted(project, parts, context);
            elements = [.. elements.Where(element => !parts.Contains(element.Id)), .. lifted];
        }
        var cloths = elements.SelectMany(NamedIds.ClothsOf).ToHashSet(StringComparer.Ordinal);
        var threads = elements.SelectMany(NamedIds.ThreadsOf).ToHashSet(StringComparer.Ordinal);
        return new Clip(
            elements,
            [.. project.Cloths.Where(cloth => cloths.Contains(cloth.Id))],
            [.. project.Threads.Where(thread => threads.Contains(thread.Id))]
        )
        {
            Files =
            [
                .. project.OpenedFiles.Where(file =>
                    elements.Any(element => element.MadeAs<OpenedMaking>()?.FileId == file.Id)
                ),
            ],
        };
    }

    private static Result<ImmutableArray<Element>> Whole(
        Project project,
        ImmutableArray<Element> elements,
        EditContext context
    )
    {
        var ids = elements.Select(element => element.Id).ToHashSet(StringComparer.Ordinal);
        var whole = ImmutableArray.CreateBuilder<Element>();
        foreach (var element in elements)
        {
            if (element.SourceIds().All(ids.Contains))
            {
                whole.Add(element);
                continue;
            }
            var frozen = Freezing.Frozen(project, element, context);
            if (!frozen.IsOk)
            {
                return frozen.Refusal!;
            }
            whole.AddRange(frozen.Value.Elements.Where(made => made.Id == element.Id || project.Find(made.Id) is null));
        }
        return whole.ToImmutable();
    }
}

/// <summary>Reads clips, also those that were copied when elements had no forms and makings.</summary>
internal sealed class ClipJson : JsonConverter<Clip>
{
    public override Clip Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        if (JsonNode.Parse(ref reader) is not JsonObject json)
        {
            throw new JsonException("What was copied is no object.");
        }
        foreach (var element in (json["elements"] as JsonArray)?.OfType<JsonObject>() ?? [])
        {
            FormsAndMakings.Raised(element);
        }
        var parts = json.Deserialize<Parts>(options) ?? throw new JsonException("What was copied is empty.");
        return new Clip(parts.Elements, parts.Cloths, parts.Threads) { Files = parts.Files ?? [] };
    }

    public override void Write(Utf8JsonWriter writer, Clip value, JsonSerializerOptions options) =>
        JsonSerializer.Serialize(
            writer,
            new Parts(value.Elements, value.Cloths, value.Threads)
            {
                Files = value.Files.IsDefaultOrEmpty ? null : value.Files,
            },
            options
        );

    private sealed record Parts(
        ImmutableArray<Element> Elements,
        ImmutableArray<Cloth> Cloths,
        ImmutableArray<MachineThread> Threads
    )
    {
        public ImmutableArray<OpenedFile>? Files { get; init; }
    }
}
