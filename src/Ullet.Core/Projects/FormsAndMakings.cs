using System.Text.Json.Nodes;

namespace Ullet.Core.Projects;

/// <summary>Schema 6 to 7: every kind of element becomes a form and a making, and the hooping with its run sheet the first of a list.</summary>
internal static class FormsAndMakings
{
    private static readonly string[] OfText =
    [
        "text",
        "fontId",
        "sizing",
        "align",
        "lineSpacing",
        "spacing",
        "slant",
        "arc",
        "touches",
    ];

    private static readonly string[] OfCloth =
    [
        "clothId",
        "method",
        "holding",
        "cutAllowance",
        "stages",
        "edgeTouches",
    ];

    private static readonly string[] OfZone = ["role", "allows", "from", "until"];

    internal static JsonObject Raise(JsonObject json)
    {
        foreach (var element in (json["elements"] as JsonArray)?.OfType<JsonObject>() ?? [])
        {
            Raised(element);
        }
        if (json["hooping"] is JsonObject hooping && !json.ContainsKey("hoopings"))
        {
            Move(json, hooping, "runSheet");
            if (JsonNode.DeepEquals(hooping["groundClothId"], hooping["stabiliserClothId"]))
            {
                hooping.Remove("groundClothId");
            }
            json.Remove("hooping");
            json["hoopings"] = new JsonArray(hooping);
        }
        return json;
    }

    /// <summary>An element of schema 6 as one of schema 7, in place; anything else stays, and is refused by the reader.</summary>
    internal static void Raised(JsonObject element)
    {
        if (
            element.ContainsKey("making")
            || element["kind"] is not JsonValue kind
            || !kind.TryGetValue(out string? name)
        )
        {
            return;
        }
        var made = name switch
        {
            "piece" => (Shaped(element), Taken(element, "cloth", OfCloth), null),
            "lettering" => Words(element),
            "line" => (Drawing(Taken(element, "line")), Line(element, "stitching"), null),
            "zone" => (Shaped(element), Taken(element, "zone", OfZone), null),
            _ => ((JsonObject?)null, (JsonObject?)null, (JsonObject?)null),
        };
        var (form, making, kept) = made;
        if (form is null || making is null)
        {
            return;
        }
        element.Remove("kind");
        var others = new JsonArray();
        if (kept is not null)
        {
            others.Add(kept);
        }
        if (element["isConstruction"] is JsonValue construction && construction.TryGetValue(out bool isIt) && isIt)
        {
            others.Add(making);
            making = new JsonObject { ["kind"] = "construction", ["alongLines"] = (string?)making["kind"] == "line" };
        }
        element.Remove("isConstruction");
        element["form"] = form;
        element["making"] = making;
        element["kept"] = others;
    }

    private static JsonObject Shaped(JsonObject element)
    {
        var holes = Taken(element, "holes");
        var shape = Taken(element, "shape");
        var form =
            shape is JsonObject drawn
            && drawn["form"] is JsonValue kind
            && kind.TryGetValue(out string? name)
            && name == "drawn"
                ? Drawing(drawn)
                : new JsonObject { ["kind"] = "shape", ["shape"] = shape };
        if (holes is not null)
        {
            form["holes"] = holes;
        }
        return form;
    }

    private static JsonObject Drawing(JsonNode? drawn)
    {
        (drawn as JsonObject)?.Remove("form");
        return new JsonObject { ["kind"] = "drawing", ["drawing"] = drawn };
    }

    private static (JsonObject, JsonObject, JsonObject?) Words(JsonObject element)
    {
        var use = element["use"] is JsonValue value && value.TryGetValue(out string? name) ? name : "oneByOne";
        element.Remove("use");
        var form = Taken(element, "words", OfText);
        form["isOnePiece"] = use == "onePiece";
        var (cloth, line) = (Taken(element, "cloth", OfCloth), Line(element, "line"));
        return use == "stitchedOutline" ? (form, line, cloth) : (form, cloth, line);
    }

    private static JsonObject Line(JsonObject element, string stitching)
    {
        var line = new JsonObject { ["kind"] = "line" };
        if (Taken(element, stitching) is { } settings)
        {
            line["stitching"] = settings;
        }
        Move(element, line, "purpose");
        return line;
    }

    private static JsonObject Taken(JsonObject element, string kind, string[] names)
    {
        var part = new JsonObject { ["kind"] = kind };
        foreach (var name in names)
        {
            Move(element, part, name);
        }
        return part;
    }

    private static void Move(JsonObject from, JsonObject to, string name)
    {
        if (from.ContainsKey(name))
        {
            to[name] = Taken(from, name);
        }
    }

    private static JsonNode? Taken(JsonObject from, string name)
    {
        var node = from[name];
        from.Remove(name);
        return node;
    }
}
