namespace Ullet.Bench.Doors;

/// <summary>Every door tried from outside: starts, kills, files, requests, a crowd, a long day.</summary>
/// <remarks>`doors` takes about ten minutes, `doors whole` does all of it and takes some two hours; `doors files 5000 7` one part,
/// with a count and a seed; `doors file 1480 7` one file again.</remarks>
internal static class DoorsBench
{
    private const int UsualSeed = 14;

    internal static string Root { get; } = FindRoot();

    internal static async Task<bool> Run(string[] args)
    {
        var whole = args is ["whole", ..];
        if (args is ["file", var number, ..])
        {
            var again = await FileDoors.Again(int.Parse(number), args.Length > 2 ? int.Parse(args[2]) : UsualSeed);
            Console.WriteLine(again);
            return again.Holds;
        }
        var parts = new (string Name, int Short, int Whole, Func<int, int, Task<Tally>> Run)[]
        {
            ("starts", 24, 300, StartDoors.Run),
            ("kills", 60, 1_000, KillDoors.Run),
            ("files", 8_000, 200_000, FileDoors.Run),
            ("requests", 1_200, 20_000, RequestDoors.Run),
            ("crowd", 30, 60, (seconds, _) => CrowdDoors.Run(TimeSpan.FromSeconds(seconds))),
            ("long", 90, 1_800, (seconds, seed) => LongUse.Run(TimeSpan.FromSeconds(seconds), seed)),
        };
        var holds = true;
        foreach (var part in parts.Where(part => whole || args.Length == 0 || part.Name == args[0]))
        {
            var count =
                !whole && args.Length > 1 ? int.Parse(args[1])
                : whole ? part.Whole
                : part.Short;
            var tally = await part.Run(count, !whole && args.Length > 2 ? int.Parse(args[2]) : UsualSeed);
            Console.WriteLine(tally);
            holds &= tally.Holds;
        }
        return holds;
    }

    private static string FindRoot()
    {
        var folder = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(folder, "Ullet.slnx")))
        {
            folder =
                Path.GetDirectoryName(folder) ?? throw new InvalidOperationException("The repository was not found.");
        }
        return folder;
    }
}
