using System.Collections.Immutable;
using System.Globalization;
using System.IO.Compression;
using System.Text;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Orders;
using Ullet.Core.Projects;
using Ullet.Files.Orders;
using Ullet.Server.Data;

namespace Ullet.Server.Orders;

/// <summary>Hands out what a job made: a folder an order, and a summary of them all. One packet at a time is in memory.</summary>
internal sealed class JobZip(UlletDb db, OrderFiles files)
{
    internal async Task Write(JobDto job, Stream target, CancellationToken cancellation)
    {
        var items = await db
            .JobItems.AsNoTracking()
            .Where(item => item.JobId == job.Id)
            .OrderBy(item => item.Position)
            .ToListAsync(cancellation);
        var (sums, names) = (
            new List<(string Name, OrderSum Sum, int Count)>(),
            new HashSet<string>(StringComparer.OrdinalIgnoreCase)
        );
        await using var zip = await ZipArchive.CreateAsync(
            target,
            ZipArchiveMode.Create,
            leaveOpen: true,
            entryNameEncoding: Encoding.UTF8,
            cancellationToken: cancellation
        );
        foreach (var item in items.Where(item => item.Sha256 is not null))
        {
            var made = await db
                .Made.AsNoTracking()
                .Where(row => row.Sha256 == item.Sha256)
                .OrderByDescending(row => row.Id)
                .FirstAsync(cancellation);
            var folder = Free(made.Name, names);
            if (await files.Kept(item.Sha256!, cancellation) is not { } bytes)
            {
                await Add(
                    zip,
                    $"{folder}/damaged.txt",
                    Encoding.UTF8.GetBytes("The files that were kept are damaged. Make them anew.\r\n"),
                    cancellation
                );
                continue;
            }
            await Copied(zip, folder, bytes, cancellation);
            var first = item.OrderIds.Split(' ')[0].Split(':')[0];
            var count = made.Hooping is null
                ? await db
                    .Orders.Where(row => row.Id == first)
                    .Select(row => row.Quantity)
                    .FirstOrDefaultAsync(cancellation)
                : 1;
            sums.Add(
                (folder, JsonSerializer.Deserialize<OrderSum>(made.Facts, ProjectJson.Options)!, Math.Max(1, count))
            );
        }
        await Add(zip, "summary.csv", Summary(sums, items), cancellation);
    }

    private static async Task Copied(ZipArchive zip, string folder, byte[] packet, CancellationToken cancellation)
    {
        using var kept = new ZipArchive(new MemoryStream(packet));
        foreach (var entry in kept.Entries)
        {
            await using var from = await entry.OpenAsync(cancellation);
            await using var to = await zip.CreateEntry($"{folder}/{entry.FullName}", CompressionLevel.Fastest)
                .OpenAsync(cancellation);
            await from.CopyToAsync(to, cancellation);
        }
    }

    private static async Task Add(ZipArchive zip, string name, byte[] bytes, CancellationToken cancellation)
    {
        await using var to = await zip.CreateEntry(name).OpenAsync(cancellation);
        await to.WriteAsync(bytes, cancellation);
    }

    /// <summary>A folder's name that no other has.</summary>
    private static string Free(string name, HashSet<string> taken)
    {
        var free = name;
        for (var i = 2; !taken.Add(free); i++)
        {
            free = $"{name} ({i})";
        }
        return free;
    }

    /// <summary>What all of it takes: orders, hoopings, minutes, threads, cloths; and what was not made.</summary>
    private static byte[] Summary(List<(string Name, OrderSum Sum, int Count)> sums, List<JobItemRow> items)
    {
        var rows = new List<string[]>
        {
            new[] { "order", "how many", "stitches", "stops", "minutes with hands", "hoopings" },
        };
        rows.AddRange(
            sums.Select(each =>
                new[]
                {
                    each.Name,
                    Whole(each.Count),
                    Whole(each.Sum.Stitches),
                    Whole(each.Sum.Stops),
                    Whole(Math.Ceiling(each.Sum.Seconds / 60)),
                    Whole(each.Sum.Hoopings),
                }
            )
        );
        rows.Add([
            "all of them",
            Whole(sums.Sum(each => each.Count)),
            Whole(sums.Sum(each => each.Sum.Stitches * each.Count)),
            Whole(sums.Sum(each => each.Sum.Stops * each.Count)),
            Whole(Math.Ceiling(sums.Sum(each => each.Sum.Seconds * each.Count) / 60)),
            Whole(sums.Sum(each => each.Sum.Hoopings * each.Count)),
        ]);
        rows.Add([""]);
        rows.Add(["thread", "metres of stitches"]);
        rows.AddRange(Uses(sums, sum => sum.Threads, "0.0"));
        rows.Add([""]);
        rows.Add(["cloth", "cm² cut"]);
        rows.AddRange(Uses(sums, sum => sum.Cloths, "0"));
        var failed = items.Where(item => item.State != JobItemState.Made).ToList();
        if (failed.Count > 0)
        {
            rows.Add([""]);
            rows.Add(["not made", "why"]);
            rows.AddRange(failed.Select(item => new[] { item.Name, item.Words.Length > 0 ? item.Words : "not yet" }));
        }
        return OrderTable.Write(rows);
    }

    private static IEnumerable<string[]> Uses(
        List<(string Name, OrderSum Sum, int Count)> sums,
        Func<OrderSum, ImmutableArray<StuffUse>> uses,
        string format
    ) =>
        sums.SelectMany(each => uses(each.Sum).Select(use => (use.Name, Amount: use.Amount * each.Count)))
            .GroupBy(use => use.Name, StringComparer.Ordinal)
            .OrderBy(group => group.Key, StringComparer.Ordinal)
            .Select(group =>
                new[] { group.Key, group.Sum(use => use.Amount).ToString(format, CultureInfo.InvariantCulture) }
            );

    private static string Whole(double number) => number.ToString("0", CultureInfo.InvariantCulture);
}
