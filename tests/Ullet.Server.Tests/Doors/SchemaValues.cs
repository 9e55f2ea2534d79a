using System.Text.Json.Nodes;

namespace Ullet.Doors;

/// <summary>Makes requests out of the interface's own description: right ones, and ones that are odd in a few places.</summary>
internal sealed class SchemaValues(JsonObject openApi, Mutations mutations)
{
    private const int Deepest = 9;

    private static readonly double[] Numbers =
    [
        0,
        1,
        -1,
        2,
        3.5,
        12,
        40,
        100,
        999,
        1999,
        -2000,
        1e5,
        1e9,
        0.001,
        24,
        2_000_000_000,
    ];

    private readonly JsonObject _schemas = openApi["components"]!["schemas"]!.AsObject();

    /// <summary>Ids that are there: of elements, cloths and threads.</summary>
    internal (string[] Elements, string[] Cloths, string[] Threads) Ids { get; set; } = ([], [], []);

    private Random Random => mutations.Random;

    /// <summary>The members of the union of edits.</summary>
    internal List<JsonNode> Edits() =>
        [.. (_schemas["Edit"]!["anyOf"] ?? _schemas["Edit"]!["oneOf"])!.AsArray().Select(member => member!)];

    /// <summary>A value of a schema; odd ones come in one place out of so many.</summary>
    internal JsonNode? Make(JsonNode schema, int oddIn, string name = "", int depth = 0)
    {
        if (Random.Next(oddIn) == 0)
        {
            return Odd();
        }
        if ((string?)schema["$ref"] is { } reference)
        {
            return Make(_schemas[reference.Split('/')[^1]]!, oddIn, name, depth + 1);
        }
        var union = schema["anyOf"] ?? schema["oneOf"];
        if (union is JsonArray members)
        {
            return Make(members[Random.Next(members.Count)]!, oddIn, name, depth + 1);
        }
        if (schema["enum"] is JsonArray choices)
        {
            return choices[Random.Next(choices.Count)]?.DeepClone();
        }
        return TypeOf(schema) switch
        {
            "object" => Object(schema, oddIn, depth),
            "array" => List(schema, oddIn, name, depth),
            "string" => Text(name),
            "boolean" => Random.Next(2) == 0,
            "integer" => (long)Numbers[Random.Next(Numbers.Length)],
            "number" => Random.Next(3) == 0
                ? Math.Round((Random.NextDouble() * 120) - 60, 2)
                : Numbers[Random.Next(Numbers.Length)],
            _ => null,
        };
    }

    private JsonObject Object(JsonNode schema, int oddIn, int depth)
    {
        var made = new JsonObject();
        var required = schema["required"]?.AsArray().Select(name => (string)name!).ToHashSet() ?? [];
        foreach (var (name, property) in schema["properties"]?.AsObject() ?? [])
        {
            var isWanted = required.Contains(name) || (depth < Deepest && Random.Next(2) == 0);
            if (isWanted && Random.Next(oddIn * 4) != 0)
            {
                made[name] = Make(property!, oddIn, name, depth + 1);
            }
        }
        return made;
    }

    private JsonArray List(JsonNode schema, int oddIn, string name, int depth)
    {
        var count = depth > Deepest ? 0 : Random.Next(4);
        return [.. Enumerable.Range(0, count).Select(_ => Make(schema["items"]!, oddIn, name, depth + 1))];
    }

    private string Text(string name) =>
        name.EndsWith("Id", StringComparison.Ordinal) || name.EndsWith("Ids", StringComparison.Ordinal) || name == "id"
            ? Id(name)
        : name.Contains("olour", StringComparison.Ordinal) ? "#3a7b2c"
        : name.Contains("Key", StringComparison.Ordinal) || name == "after"
            ? $"{Id("elementId")}.{(Random.Next(2) == 0 ? "cover" : "lay")}.0"
        : Random.Next(6) == 0 ? mutations.Word()
        : "Plot " + Random.Next(30);

    private string Id(string name)
    {
        var known =
            name.Contains("loth", StringComparison.Ordinal) ? Ids.Cloths
            : name.Contains("hread", StringComparison.Ordinal) ? Ids.Threads
            : Ids.Elements;
        return known.Length > 0 && Random.Next(10) > 0 ? known[Random.Next(known.Length)] : "e" + Random.Next(40);
    }

    private JsonNode? Odd() =>
        Random.Next(7) switch
        {
            0 => null,
            1 => mutations.Word(),
            2 => new JsonArray(),
            3 => new JsonObject(),
            4 => new string('x', Random.Next(5000)),
            5 => true,
            _ => Numbers[Random.Next(Numbers.Length)],
        };

    private static string TypeOf(JsonNode schema) =>
        schema["type"] switch
        {
            JsonArray types => (string)types.First(type => (string)type! != "null")!,
            JsonValue type => (string)type!,
            _ => schema["properties"] is null ? "" : "object",
        };
}
