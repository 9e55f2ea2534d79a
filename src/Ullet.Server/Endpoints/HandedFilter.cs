using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Server.Documents;

namespace Ullet.Server.Endpoints;

/// <summary>Notes files that go out of an address, with the state that they were made from; not those that are only looked at
/// (<c>trial=true</c>).</summary>
internal sealed class HandedFilter(bool onlyWhenAsked = false) : IEndpointFilter
{
    public async ValueTask<object?> InvokeAsync(EndpointFilterInvocationContext context, EndpointFilterDelegate next)
    {
        var answer = await next(context);
        var http = context.HttpContext;
        var isTrial = http.Request.Query["trial"] == "true";
        var isAsked = !onlyWhenAsked || http.Request.Query["hand"] == "true";
        var result = answer is INestedHttpResult nested ? nested.Result : answer;
        if (
            !isTrial
            && isAsked
            && result is FileContentHttpResult { FileDownloadName: { Length: > 0 } name } file
            && HeadFiles.Shown(http) is { } head
        )
        {
            await http
                .RequestServices.GetRequiredService<HandedOut>()
                .TryNote(head.Row.Id, head.Revision, name, file.ContentType, file.FileContents, http.RequestAborted);
        }
        return answer;
    }
}
