using Ullet.Core.Edits;
using Ullet.Core.Projects;

namespace Ullet.Server.Demo;

/// <summary>"Tea-break mug rug": the mug rug sized for a mug, with a beetroot in satin.</summary>
internal static class TeaBreakRug
{
    internal static Project Make() =>
        new DemoProject("Tea-break mug rug", 200, 200)
            .From("mug-rug", [("width", 190), ("height", 130)], [("words", "Tea"), ("motif", "Beet")])
            .Apply(
                new SetCover
                {
                    ElementId = "p-motif",
                    Cover = new CoverSettings { ThreadId = "plum", Width = 3 },
                }
            )
            .Apply(
                new SetLettering
                {
                    ElementId = "p-words",
                    Line = new LineSettings { Kind = LineKind.Bean, ThreadId = "fern" },
                }
            )
            .Project;
}
