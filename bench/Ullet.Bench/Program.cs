using Ullet.Bench;
using Ullet.Bench.Doors;

// Every line is a ratio of two times (or counts) of the same run on the same machine.
if (args is ["ui"])
{
    return await UiBench.Run() ? 0 : 1;
}
if (args is ["empty", var port])
{
    await StartBench.Empty(port);
    return 0;
}
if (args is ["start"])
{
    var started = await StartBench.Run();
    started.ToList().ForEach(Console.WriteLine);
    return started.All(ratio => ratio.Holds) ? 0 : 1;
}
if (args is ["engine"])
{
    var timed = EngineBench.Run().Concat(LetterBench.Run()).Concat(FillBench.Run()).ToList();
    timed.ForEach(Console.WriteLine);
    return timed.All(ratio => ratio.Holds || ratio.IsAim) ? 0 : 1;
}
if (args is ["fills"])
{
    var filled = FillBench.Run().ToList();
    filled.ForEach(Console.WriteLine);
    return filled.All(ratio => ratio.Holds || ratio.IsAim) ? 0 : 1;
}
if (args is ["letters"])
{
    var sewn = LetterBench.Run().ToList();
    sewn.ForEach(Console.WriteLine);
    return sewn.All(ratio => ratio.Holds || ratio.IsAim) ? 0 : 1;
}
if (args is ["roles"])
{
    RolesBench.Run().ToList().ForEach(Console.WriteLine);
    return 0;
}
if (args is ["recovery", ..])
{
    foreach (
        var line in RecoveryBench.Run(
            args.Length > 1 ? int.Parse(args[1], System.Globalization.CultureInfo.InvariantCulture) : 300,
            args is [_, _, "all"]
        )
    )
    {
        Console.WriteLine(line);
    }
    return 0;
}
if (args is ["carve"])
{
    var carved = CarveBench.Run();
    carved.ToList().ForEach(Console.WriteLine);
    return carved.All(ratio => ratio.Holds) ? 0 : 1;
}
if (args is ["many"])
{
    var many = ManyBench.Run();
    many.ToList().ForEach(Console.WriteLine);
    return many.All(ratio => ratio.Holds) ? 0 : 1;
}
if (args is ["orders"])
{
    var ordered = OrderBench.Run().ToList();
    ordered.ForEach(Console.WriteLine);
    return ordered.All(ratio => ratio.Holds) ? 0 : 1;
}
if (args is ["plan"])
{
    var planned = PlanBench.Run();
    planned.ToList().ForEach(Console.WriteLine);
    return planned.All(ratio => ratio.Holds) ? 0 : 1;
}
if (args is ["edit"])
{
    var edited = await EditBench.Run();
    edited.ToList().ForEach(Console.WriteLine);
    return edited.All(ratio => ratio.Holds) ? 0 : 1;
}
if (args is ["table"])
{
    var laid = TableBench.Run();
    laid.ToList().ForEach(Console.WriteLine);
    return laid.All(ratio => ratio.Holds) ? 0 : 1;
}
if (args is ["demos"])
{
    DemoBench.Run();
    return 0;
}
if (args is ["quality", ..])
{
    return QualityBench.Run(args[1..]) ? 0 : 1;
}
if (args is ["doors", ..])
{
    return await DoorsBench.Run(args[1..]) ? 0 : 1;
}
if (args is ["icons"])
{
    return IconBench.Run() ? 0 : 1;
}
if (args.Length > 0)
{
    Console.Error.WriteLine(
        $"bench takes ui, carve, demos, doors, edit, engine, fills, icons, letters, many, orders, plan, quality, recovery, roles, start or table; \"{args[0]}\" is none of them."
    );
    return 1;
}
var breached = false;
var lines = EngineBench.Run().Concat(CarveBench.Run()).Concat(PlanBench.Run()).Concat(TableBench.Run());
foreach (var ratio in lines.Concat(await EditBench.Run()))
{
    Console.WriteLine(ratio);
    breached |= !ratio.Holds && !ratio.IsAim;
}
breached |= !IconBench.Run();
return breached ? 1 : 0;
