using System.Text.Json.Nodes;

namespace Ullet.Core.Projects;

/// <summary>Schema 5 to 6: a list of mirrored cloths becomes the way in which each of them lies on the mat.</summary>
internal static class MirrorsOfCloths
{
    internal static JsonObject Raise(JsonObject json)
    {
        if (json["cut"] is JsonObject cut && cut["mirroredClothIds"] is JsonArray mirrored)
        {
            cut.Remove("mirroredClothIds");
            cut["cloths"] = new JsonArray([
                .. mirrored.Select(id => new JsonObject { ["clothId"] = id?.DeepClone(), ["lies"] = "faceDown" }),
            ]);
        }
        return json;
    }
}
