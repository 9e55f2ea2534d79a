using System.Text.Json.Nodes;

namespace Ullet.Core.Projects;

/// <summary>From document version 2 to 3: a drawing was one line, now it is a list of lines.</summary>
internal static class DrawingsOfLines
{
    internal static JsonObject Raise(JsonObject json)
    {
        foreach (var element in (json["elements"] as JsonArray)?.OfType<JsonObject>() ?? [])
        {
            Wrap(element["shape"], needsForm: true);
            Wrap(element["line"] is JsonObject line && line.ContainsKey("curves") ? line : null, needsForm: false);
            foreach (var hole in (element["holes"] as JsonArray)?.OfType<JsonObject>() ?? [])
            {
                Wrap(hole["shape"], needsForm: true);
            }
        }
        return json;
    }

    private static void Wrap(JsonNode? node, bool needsForm)
    {
        if (
            node is not JsonObject shape
            || !shape.ContainsKey("curves")
            || (needsForm && shape["form"] is JsonValue form && (string?)form != "drawn")
        )
        {
            return;
        }
        var line = new JsonObject();
        foreach (var name in new[] { "startX", "startY", "curves" })
        {
            line[name] = shape[name]?.DeepClone();
            shape.Remove(name);
        }
        shape["lines"] = new JsonArray(line);
    }
}
