using System.Collections.Immutable;
using Ullet.Core.Projects;
using Ullet.Server.Documents;

namespace Ullet.Server.Demo;

/// <summary>Fills an empty or half-filled shelf with the Marrow Lane Allotments' projects.</summary>
public static class DemoShelf
{
    /// <summary>The demo projects, the one to open first last, so that it is the newest.</summary>
    public static IReadOnlyList<Project> Projects() => [.. Makers.Select(make => make())];

    private static readonly ImmutableArray<Func<Project>> Makers =
    [
        TeaTowelCorner.Make,
        PlotPatch.Make,
        ShedKeyTab.Make,
        PlotPennant.Make,
        TeaBreakRug.Make,
        SeedPacketPouch.Make,
        VegetableBlock.Make,
        GateInitial.Make,
        HarvestPatch.Make,
    ];

    /// <param name="services">The server's.</param>
    /// <param name="there">The titles of the projects that are on the shelf already.</param>
    internal static async Task Fill(IServiceProvider services, IReadOnlyCollection<string> there)
    {
        if (there.Count >= Makers.Length)
        {
            return;
        }
        var projects = Projects();
        // A first start that was interrupted left some of them and nothing else; then the rest is added.
        if (there.Except(projects.Select(project => project.Title)).Any())
        {
            return;
        }
        var history = services.GetRequiredService<DocumentHistory>();
        foreach (var project in projects.Where(project => !there.Contains(project.Title)))
        {
            await history.Bring(project, "Demo project", CancellationToken.None);
        }
        await DemoOrders.Fill(services);
        await DemoStash.Fill(services);
    }
}
