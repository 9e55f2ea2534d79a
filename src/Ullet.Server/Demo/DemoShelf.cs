using Microsoft.EntityFrameworkCore;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Documents;

namespace Ullet.Server.Demo;

/// <summary>Fills an empty shelf with the Marrow Lane Allotments' projects.</summary>
public static class DemoShelf
{
    /// <summary>The demo projects, the one to open first last, so that it is the newest.</summary>
    public static IReadOnlyList<Project> Projects() =>
        [
            TeaTowelCorner.Make(),
            ShedKeyTab.Make(),
            PlotPennant.Make(),
            TeaBreakRug.Make(),
            SeedPacketPouch.Make(),
            VegetableBlock.Make(),
            GateInitial.Make(),
            HarvestPatch.Make(),
        ];

    internal static async Task Fill(IServiceProvider services)
    {
        var db = services.GetRequiredService<UlletDb>();
        if (await db.Projects.AnyAsync())
        {
            return;
        }
        var history = services.GetRequiredService<DocumentHistory>();
        foreach (var project in Projects())
        {
            var made = await history.Create(project, "Demo project", CancellationToken.None);
            if (!made.IsOk)
            {
                throw new InvalidOperationException(
                    $"The demo project {project.Title} is not whole: {made.Refusal!.Words}"
                );
            }
        }
    }
}
