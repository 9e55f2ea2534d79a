using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Ullet.Server.Endpoints;
using Ullet.Server.Scenes;

namespace Ullet.Server.Shapes06;

/// <summary>Answers with the shapes of 0.6 beside today's whoever does not say that today's suffice: the only place that knows them.
/// </summary>
internal sealed class Adapter06(IOptions<JsonOptions> json) : IEndpointFilter
{
    /// <summary>A request with this header, and <see cref="Today"/> in it, is answered with today's shapes alone.</summary>
    internal const string Header = "Ullet-Shapes";

    /// <summary>Today's shapes: a form and a making.</summary>
    internal const string Today = "form-and-making";

    private readonly JsonSerializerOptions _json = json.Value.SerializerOptions;

    public async ValueTask<object?> InvokeAsync(EndpointFilterInvocationContext context, EndpointFilterDelegate next)
    {
        var answer = await next(context);
        if (context.HttpContext.Request.Headers[Header] == Today)
        {
            return answer;
        }
        return (answer as INestedHttpResult)?.Result switch
        {
            Ok<SceneDto> { Value: { } scene } => TypedResults.Ok(Scene(scene)),
            Ok<EditAnswer> { Value: { } edited } => TypedResults.Ok(Edited(edited)),
            _ => answer,
        };
    }

    private JsonNode Edited(EditAnswer edited)
    {
        var answer = JsonSerializer.SerializeToNode(edited with { Scene = null }, _json)!;
        answer["scene"] = edited.Scene is { } scene ? Scene(scene) : null;
        return answer;
    }

    private JsonNode Scene(SceneDto scene)
    {
        var node = JsonSerializer.SerializeToNode(scene, _json)!;
        foreach (var (element, shown) in scene.Elements.Zip(node["elements"]!.AsArray()))
        {
            var more = JsonSerializer.SerializeToNode(Element06.Of(element, scene.Source!, _json), _json)!.AsObject();
            foreach (var (name, value) in more.ToList())
            {
                more.Remove(name);
                shown![name] = value;
            }
        }
        return node;
    }
}
