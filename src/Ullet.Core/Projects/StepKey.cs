using System.Text.Json;
using System.Text.Json.Serialization;

namespace Ullet.Core.Projects;

/// <summary>Names a step of the run sheet for ever: the element (or hooping), the stage or hand step, and which one of it.</summary>
/// <remarks>Written as "e3.cover.0".</remarks>
[JsonConverter(typeof(StepKeyJson))]
public readonly record struct StepKey(string OwnerId, string Stage, int Ordinal)
{
    public static StepKey? Parse(string text)
    {
        var parts = text.Split('.');
        return
            parts.Length == 3 && parts[0].Length > 0 && parts[1].Length > 0 && int.TryParse(parts[2], out var ordinal)
            ? new StepKey(parts[0], parts[1], ordinal)
            : null;
    }

    public override string ToString() => $"{OwnerId}.{Stage}.{Ordinal}";
}

internal sealed class StepKeyJson : JsonConverter<StepKey>
{
    public override StepKey Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        StepKey.Parse(reader.GetString() ?? "") ?? throw new JsonException("Not a step key.");

    public override void Write(Utf8JsonWriter writer, StepKey value, JsonSerializerOptions options) =>
        writer.WriteStringValue(value.ToString());
}
