using Ullet.Core.Edits;
using Ullet.Core.Projects;

namespace Ullet.Server.Demo;

/// <summary>"Plot patch": the small patch that every plot of the lane can order, with its number and a motif.</summary>
internal static class PlotPatch
{
    internal static Project Make() =>
        new DemoProject("Plot patch", 200, 200)
            .From("harvest-patch", [("width", 60), ("height", 66)], [("words", "Plot 14"), ("motif", "Beet")])
            .Apply(new SetHooping { FieldWidth = 300, FieldHeight = 200 })
            .Project;
}
