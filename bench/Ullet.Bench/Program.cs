using Ullet.Bench;

// Every line is a ratio of two times (or counts) of the same run on the same machine.
if (args is ["ui"])
{
    return await UiBench.Run() ? 0 : 1;
}
if (args is ["icons"])
{
    return IconBench.Run() ? 0 : 1;
}
if (args.Length > 0)
{
    Console.Error.WriteLine($"bench takes ui or icons; \"{args[0]}\" is neither.");
    return 1;
}
var breached = false;
foreach (var ratio in EngineBench.Run().Concat(await EditBench.Run()))
{
    Console.WriteLine(ratio);
    breached |= !ratio.Holds && !ratio.IsAim;
}
breached |= !IconBench.Run();
return breached ? 1 : 0;
