using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
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
        options.AllowOutOfOrderMetadataProperties = true;
        options.DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull;
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
        return options;
    }

    public static byte[] Write(Project project) => JsonSerializer.SerializeToUtf8Bytes(project, Options);

    /// <summary>Reads a document of this schema or an older one.</summary>
    /// <returns>The project, or "project-broken", "project-newer" with a sentence.</returns>
    public static Result<Project> Read(ReadOnlySpan<byte> utf8) => Read(utf8, SchemaUpgrades.Shipped);

    internal static Result<Project> Read(ReadOnlySpan<byte> utf8, SchemaUpgrades upgrades)
    {
        try
        {
            if (JsonNode.Parse(utf8) is not JsonObject json)
            {
                return Broken("it is not a JSON object");
            }
            var raised = upgrades.Raise(json);
            if (!raised.IsOk)
            {
                return raised.Refusal!;
            }
            var project = raised.Value.Deserialize<Project>(Options);
            return project is null ? Broken("it is empty") : Whole(project);
        }
        catch (JsonException wrong)
        {
            return Broken($"{wrong.Message.Split(" Path:")[0].TrimEnd('.')} ({wrong.Path ?? "at its start"})");
        }
        catch (Exception wrong) when (wrong is InvalidOperationException or FormatException or NotSupportedException)
        {
            return Broken(wrong.Message.TrimEnd('.'));
        }
    }

    /// <summary>Refuses a document whose parts name what is not there, or whose numbers make no piece.</summary>
    private static Result<Project> Whole(Project project)
    {
        var hooping = project.Hooping;
        foreach (var clothId in new[] { hooping.GroundClothId, hooping.StabiliserClothId })
        {
            if (project.FindCloth(clothId) is null)
            {
                return Broken($"the hooping names cloth \"{clothId}\", which is not in it");
            }
        }
        foreach (var threadId in new[] { hooping.LineThreadId, hooping.CoverThreadId })
        {
            if (project.FindThread(threadId) is null)
            {
                return Broken($"the hooping names thread \"{threadId}\", which is not in it");
            }
        }
        if (
            project.Elements.Select(element => element.Id).Distinct(StringComparer.Ordinal).Count()
            < project.Elements.Length
        )
        {
            return Broken("two elements have the same id");
        }
        foreach (var element in project.Elements)
        {
            if (element is AppliqueElement piece && project.FindCloth(piece.ClothId) is null)
            {
                return Broken($"piece \"{piece.Name}\" names cloth \"{piece.ClothId}\", which is not in it");
            }
            if (element is AppliqueElement stitched && StageLimits.Check(stitched) is { } stage)
            {
                return Broken($"of \"{element.Name}\": {stage.Words.TrimEnd('.')}");
            }
            if (Limits.CheckBox(element.Box, element.Name, mayBeFlat: element is StitchedLine) is { } refusal)
            {
                return Broken(refusal.Words.TrimEnd('.'));
            }
            if (element.Operations.Length > OperationLimits.MostOperations)
            {
                return Broken($"\"{element.Name}\" has more than {OperationLimits.MostOperations} operations");
            }
            foreach (var operation in element.Operations)
            {
                if (
                    (OperationLimits.Check(operation) ?? OperationLimits.CheckSources(project, element, operation)) is
                    { } wrong
                )
                {
                    return Broken(wrong.Words.TrimEnd('.'));
                }
            }
        }
        return (StepsRefusal(project) ?? CutRefusal(project)) is { } wrongPart ? Broken(wrongPart) : project;
    }

    /// <summary>What is wrong with lines and hand steps of the user's own; null when nothing is.</summary>
    private static string? StepsRefusal(Project project)
    {
        foreach (var line in project.Elements.OfType<StitchedLine>())
        {
            var refusal =
                StageLimits.Check(new RunSettings { StitchLength = line.Stitching.StitchLength })
                ?? Limits.CheckRange(
                    line.Stitching.Passes,
                    1,
                    LineSettings.MostPasses,
                    "",
                    "The number of passes",
                    "passes"
                );
            if (refusal is not null)
            {
                return $"of \"{line.Name}\": {refusal.Words.TrimEnd('.')}";
            }
        }
        var hands = project.RunSheet.Hands;
        if (hands.Select(hand => hand.Id).Distinct(StringComparer.Ordinal).Count() < hands.Length)
        {
            return "two hand steps have the same id";
        }
        foreach (var hand in hands)
        {
            if (hand.Text.Length is 0 or > UserHandStep.LongestText)
            {
                return $"the hand step \"{hand.Id}\" has no words, or more than {UserHandStep.LongestText} characters of them";
            }
            if (hand.Area is { } area && Limits.CheckBox(area, "a laid cloth") is { } wrong)
            {
                return wrong.Words.TrimEnd('.');
            }
        }
        return null;
    }

    /// <summary>What is wrong with the cut settings; null when nothing is.</summary>
    private static string? CutRefusal(Project project)
    {
        var cut = project.Cut;
        if (cut.Cloths.Select(cloth => cloth.ClothId).Distinct(StringComparer.Ordinal).Count() < cut.Cloths.Length)
        {
            return "a cloth has two cut settings";
        }
        var refusal =
            CutLimits.Check(new MatSize(cut.MatWidth, cut.MatHeight, cut.MatMargin))
            ?? cut.Cloths.Select(CutLimits.Check).FirstOrDefault(each => each is not null);
        return refusal?.Words.TrimEnd('.');
    }

    private static Refusal Broken(string why) =>
        new("project-broken", "project", $"This project can't be read: {why}.");
}
