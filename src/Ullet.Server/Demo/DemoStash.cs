using System.Collections.Immutable;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Stash;

namespace Ullet.Server.Demo;

/// <summary>What the Marrow Lane Allotments own, and the tags on their shelf.</summary>
internal static class DemoStash
{
    private const string Yarns = "Allotment yarns";

    private const string Lane = "Lane spools";

    private static readonly ImmutableArray<StashThread> Threads =
    [
        Thread("1012", "slate grey", Yarns, "#59646f", 800),
        Thread("1016", "soot", Yarns, "#23282e", 950),
        Thread("1023", "chalk", Yarns, "#f0eee8", 700),
        Thread("1104", "straw gold", Yarns, "#c99a2e", 640),
        Thread("1107", "marrow yellow", Yarns, "#e2b93b", 1000),
        Thread("1115", "carrot", Yarns, "#d9762e", 480),
        Thread("1118", "rust orange", Yarns, "#b4551a", 300),
        Thread("1121", "flower pot", Yarns, "#a24b2a", 1000),
        Thread("1203", "fern green", Yarns, "#4d6b2b", 820),
        Thread("1204", "fern", Lane, "#4f6c2d", 500, ThreadKind.Rayon),
        Thread("1209", "bean leaf", Yarns, "#6f8f3e", 1000),
        Thread("1214", "shed green", Yarns, "#35584b", 560),
        Thread("1302", "plum", Yarns, "#5e1c38", 410),
        Thread("1305", "beetroot", Yarns, "#97304f", 900),
        Thread("1306", "beetroot dark", Yarns, "#952f4d", 900),
        Thread("1311", "radish", Lane, "#c93a56", 500, ThreadKind.Rayon),
        Thread("1402", "watering can", Yarns, "#6d8aa3", 760),
        Thread("1407", "rain barrel", Yarns, "#2c4560", 1000),
        Thread("1411", "sky over plot 9", Lane, "#a9c6d8", 500, ThreadKind.Rayon),
        Thread("1502", "lavender", Lane, "#8a7bb0", 500, ThreadKind.Rayon),
        Thread("1601", "twine", Yarns, "#b59b74", 120, ThreadKind.Cotton),
        Thread("1702", "dew", Lane, "#c9ced2", 200, ThreadKind.Metallic),
        Thread("1704", "wasp", Lane, "#c8a845", 200, ThreadKind.Metallic),
    ];

    private static readonly ImmutableArray<StashCloth> Cloths =
    [
        Cloth("oat linen", ClothKind.Linen, "#e9e0cb", 1400, 2200, Grain.TwoWays),
        Cloth("shed green cotton", ClothKind.WovenCotton, "#35584b", 1100, 900),
        Cloth("beetroot cotton", ClothKind.WovenCotton, "#97304f", 1100, 450),
        Cloth("leaf dotted cotton", ClothKind.WovenCotton, "#7c9a4a", 1100, 600) with
        {
            Texture = ClothTexture.Dotted,
        },
        Cloth("carrot striped cotton", ClothKind.WovenCotton, "#d9762e", 1120, 380, Grain.OneWay) with
        {
            Texture = ClothTexture.Striped,
            Note = "stripes run along the selvedge",
        },
        Cloth("straw felt", ClothKind.Felt, "#d8b664", 900, 300) with
        {
            Texture = ClothTexture.Plain,
        },
        Cloth("barrow red vinyl", ClothKind.Vinyl, "#b23a34", 500, 1000) with
        {
            Texture = ClothTexture.Plain,
            Note = "holes are for ever: one try",
        },
        Cloth("deck chair canvas", ClothKind.Canvas, "#6d8aa3", 1500, 700),
        Cloth("tear-away stabiliser", ClothKind.Stabiliser, "#f4f4f2", 500, 9000) with
        {
            Texture = ClothTexture.Plain,
        },
        Cloth("thin batting", ClothKind.Batting, "#f6f1e6", 1500, 1200) with
        {
            Texture = ClothTexture.Plain,
        },
    ];

    /// <summary>The tags of demo projects, by their titles.</summary>
    private static readonly ImmutableArray<(string Title, string Tag)> Tags =
    [
        ("Plot 14 harvest patch", "stall"),
        ("Plot patch", "stall"),
        ("Shed-key tab", "stall"),
        ("Plot 14 pennant", "stall"),
        ("Tea-break mug rug", "kitchen"),
        ("Tea-towel corner", "kitchen"),
        ("Seed-packet pouch", "gifts"),
        ("Rowan’s gate initial", "gifts"),
        ("Beetroot and carrot block", "kitchen"),
    ];

    internal static async Task Fill(IServiceProvider services)
    {
        var db = services.GetRequiredService<UlletDb>();
        var stash = services.GetRequiredService<StashShelf>();
        await stash.KeepAll(Threads, db, CancellationToken.None);
        foreach (var cloth in Cloths)
        {
            await stash.Keep(cloth, db, CancellationToken.None);
        }
        var projects = await db.Projects.AsNoTracking().ToListAsync();
        foreach (var (title, tag) in Tags)
        {
            if (projects.Find(project => project.Title == title) is { } project)
            {
                db.Tags.Add(
                    new TagRow
                    {
                        ProjectId = project.Id,
                        Key = SearchText.Folded(tag),
                        Tag = tag,
                    }
                );
            }
        }
        await db.SaveChangesAsync();
    }

    private static StashThread Thread(
        string number,
        string name,
        string maker,
        string colour,
        double metres,
        ThreadKind kind = ThreadKind.Polyester
    ) =>
        new("", name, colour)
        {
            Number = number,
            Maker = maker,
            Kind = kind,
            Metres = metres,
        };

    private static StashCloth Cloth(
        string name,
        ClothKind kind,
        string colour,
        double width,
        double left,
        Grain grain = Grain.Free
    ) =>
        new("", name, kind, colour)
        {
            Width = width,
            LeftLength = left,
            Grain = grain,
        };
}
