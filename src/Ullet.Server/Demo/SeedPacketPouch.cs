using Ullet.Core.Edits;
using Ullet.Core.Projects;

namespace Ullet.Server.Demo;

/// <summary>"Seed-packet pouch": the zip pouch with Rowan's name in satin, its leaf in zigzag, and a heart of the user's own.</summary>
internal static class SeedPacketPouch
{
    internal static Project Make() =>
        new DemoProject("Seed-packet pouch", 200, 200)
            .From("zip-pouch", [], [("name", "Rowan"), ("motif", "Leaf")])
            .Apply(
                new SetCover
                {
                    ElementId = "p-motif",
                    Cover = new CoverSettings { Kind = CoverKind.Blanket, ThreadId = "fern" },
                }
            )
            .Apply(new SetLettering { ElementId = "p-name", FontId = "lobster" })
            .Apply(new SetMaking { ElementId = "p-name", Kind = "satin" })
            .Apply(
                new SetSatin
                {
                    ElementId = "p-name",
                    Satin = new SatinMaking { ThreadId = "plum" },
                }
            )
            .Project;
}
