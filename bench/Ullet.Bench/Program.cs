using Ullet.Bench;

// Every line is a ratio of two times of the same run on the same machine.
var breached = false;
foreach (var ratio in EngineBench.Run().Concat(await EditBench.Run()))
{
    Console.WriteLine(ratio);
    breached |= !ratio.Holds && !ratio.IsAim;
}
return breached ? 1 : 0;
