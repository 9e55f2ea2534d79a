using System.Diagnostics;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Orders;
using Ullet.Core.Pipeline;
using Ullet.Files.Fonts;
using Ullet.Server.Demo;

namespace Ullet.Bench;

/// <summary>Many orders of one master against as many times one order computed cold.</summary>
internal static class OrderBench
{
    private const int Orders = 200;

    private static readonly string[] Names =
    [
        "Rowan",
        "Ama",
        "Bartholomew",
        "Zoë",
        "O’Dell",
        "Mira",
        "Theodora",
        "Jo",
        "Ines",
        "Quill",
    ];

    internal static IEnumerable<Ratio> Run()
    {
        var project = DemoShelf.Projects().First(each => each.Title == "Seed-packet pouch");
        var fonts = new FontShelf();
        double Cold(string name)
        {
            var context = new EditContext(new Evaluator(new StationCache(), fonts));
            var master = context.Evaluator.Evaluate(project);
            var alone = Stopwatch.StartNew();
            var cold = new EditContext(new Evaluator(new StationCache(), fonts));
            _ = new OrderJudge(cold, master).Of(Values(name), isWhole: true);
            return alone.Elapsed.TotalMilliseconds;
        }
        _ = Cold("Warm");
        var once = Names.Select((name, i) => Cold($"{name} {i + 500}")).Average();
        var shared = new EditContext(new Evaluator(new StationCache(), fonts));
        var judge = new OrderJudge(shared, shared.Evaluator.Evaluate(project));
        var watch = Stopwatch.StartNew();
        Parallel.For(
            0,
            Orders,
            new ParallelOptions { MaxDegreeOfParallelism = Environment.ProcessorCount },
            i => judge.Of(Values($"{Names[i % Names.Length]} {i}"))
        );
        var all = watch.Elapsed.TotalMilliseconds;
        Console.WriteLine($"one cold {once:0} ms, {Orders} shared {all:0} ms");
        yield return new Ratio(
            "Orders of one master, each, against 0.4 of as many computed cold",
            all,
            0.4 * once * Orders
        );
    }

    private static OrderValues Values(string name) =>
        new([new OrderValue("p-name", name), new OrderValue("p-motif", "Leaf")]);
}
