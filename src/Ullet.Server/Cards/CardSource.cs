using Ullet.Core.Evaluation;
using Ullet.Server.Documents;
using Ullet.Server.Endpoints;

namespace Ullet.Server.Cards;

/// <summary>A project's card as it stands now, for the door to the network.</summary>
internal sealed class CardSource(IServiceScopeFactory scopes, string projectId)
{
    /// <summary>Names the project where a phone keeps its place.</summary>
    internal string ProjectId => projectId;

    /// <summary>The project as it stands; null where it is gone, or can't be read.</summary>
    internal async Task<Evaluated?> Now(CancellationToken cancellation)
    {
        using var scope = scopes.CreateScope();
        try
        {
            return await scope.ServiceProvider.GetRequiredService<HeadFiles>().Of(projectId, cancellation);
        }
        catch (DamagedProjectException)
        {
            return null;
        }
    }

    /// <summary>Its page; null where there is none.</summary>
    internal async Task<string?> Page(string state, string nonce, CancellationToken cancellation)
    {
        using var scope = scopes.CreateScope();
        return await Now(cancellation) is { } evaluated
            ? scope
                .ServiceProvider.GetRequiredService<HeadFiles>()
                .Compute("This card", () => CardPage.Of(projectId, evaluated, state, nonce))
            : null;
    }
}
