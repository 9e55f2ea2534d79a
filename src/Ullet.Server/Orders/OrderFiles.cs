using System.Collections.Immutable;
using System.IO.Compression;
using System.Security.Cryptography;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Findings;
using Ullet.Core.Orders;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Endpoints;

namespace Ullet.Server.Orders;

/// <summary>Files of an order, made and not yet kept.</summary>
/// <param name="Name">The folder's name: number, values, size.</param>
/// <param name="Bytes">A zip.</param>
/// <param name="Sum">What it takes.</param>
internal sealed record MadeFiles(string Name, byte[] Bytes, OrderSum Sum);

/// <summary>Makes packets of orders, and keeps the very bytes.</summary>
internal sealed class OrderFiles(UlletDb db, AssetStore assets, MasterStates states, TimeProvider clock)
{
    /// <summary>The kind of kept packets among the assets: they are never taken away for room.</summary>
    internal const string Kind = "packet";

    /// <summary>The project of an order, named after it.</summary>
    internal static Project Named(Project filled, string number, string says)
    {
        var title = $"{number} {says} {filled.Title}".Replace('\n', ' ');
        return filled with
        {
            Title = title.Length <= Limits.LongestName ? title : title[..Limits.LongestName].TrimEnd(),
        };
    }

    /// <summary>Makes the files of an order from a master's state.</summary>
    /// <returns>Them, or what stops it.</returns>
    internal async Task<Result<MadeFiles>> Make(
        MasterState master,
        OrderRow row,
        EditContext context,
        CancellationToken cancellation
    )
    {
        var values = OrderJson.Read(row.Values);
        var judge = new OrderJudge(context with { Cancellation = cancellation }, master.Evaluated);
        var judged = judge.Of(values, isWhole: true);
        if (!judged.MayBeMade)
        {
            var why = judged.Findings.First(finding => finding.Level == FindingLevel.Stop);
            return new Refusal("order-stopped", row.Id, why.Words) { Kind = RefusalKind.NotPossible };
        }
        return await Made(
            Named(judged.Filled.Project, row.Number, judged.Filled.Words),
            judged.Filled.Words,
            row.Number,
            context,
            cancellation
        );
    }

    /// <summary>The files of a document that stands for an order, or for several.</summary>
    internal async Task<Result<MadeFiles>> Made(
        Project project,
        string says,
        string number,
        EditContext context,
        CancellationToken cancellation
    )
    {
        var evaluated = context.Evaluator.Evaluate(project, cancellation);
        var stop = evaluated.Findings.FirstOrDefault(finding => finding.Level == FindingLevel.Stop);
        if (stop is not null)
        {
            return new Refusal("order-stopped", number, stop.Words) { Kind = RefusalKind.NotPossible };
        }
        var bytes = PacketFile.Zip(evaluated, await assets.Of(project, cancellation));
        return new MadeFiles(FolderName(number, says, evaluated), bytes, OrderSum.Of(evaluated, says, states.NameOf));
    }

    private static string FolderName(string number, string says, Evaluated evaluated)
    {
        var box = evaluated.DesignBounds();
        return FileNames.Plain(
            FormattableString.Invariant(
                $"{number} {says.Replace('\n', ' ')} {Math.Ceiling(box.Width - 0.05):0}x{Math.Ceiling(box.Height - 0.05):0}mm"
            )
        );
    }

    /// <summary>Keeps files for orders, and marks these made, all in the caller's transaction.</summary>
    /// <returns>Their hash.</returns>
    internal async Task<string> Keep(
        MadeFiles files,
        IReadOnlyList<OrderRow> rows,
        long revision,
        string? hooping,
        IReadOnlyDictionary<string, string> stamps,
        CancellationToken cancellation
    )
    {
        var sha = await assets.Keep(Kind, files.Bytes, cancellation);
        foreach (var row in rows)
        {
            var stamp = stamps[row.Id];
            db.Made.Add(
                new MadeRow
                {
                    OrderId = row.Id,
                    ProjectId = row.ProjectId,
                    Revision = revision,
                    Name = files.Name,
                    Sha256 = sha,
                    Bytes = files.Bytes.Length,
                    At = clock.GetUtcNow().ToUnixTimeMilliseconds(),
                    Program = ReferenceEndpoints.Version,
                    Facts = JsonSerializer.Serialize(files.Sum, ProjectJson.Options),
                    Stamp = stamp,
                    Hooping = hooping,
                }
            );
            // Read anew: a person may have typed into the row while its files were made.
            var now = await db.Orders.FirstOrDefaultAsync(order => order.Id == row.Id, cancellation);
            if (now is not null && now.Values == row.Values)
            {
                now.Revision = revision;
                now.Stamp = stamp;
                now.State = now.State is OrderState.New or OrderState.Proofed ? OrderState.Made : now.State;
            }
        }
        await db.SaveChangesAsync(cancellation);
        return sha;
    }

    /// <summary>What was made of an order, the newest first.</summary>
    internal Task<List<MadeRow>> Of(string orderId, CancellationToken cancellation) =>
        db
            .Made.AsNoTracking()
            .Where(made => made.OrderId == orderId)
            .OrderByDescending(made => made.Id)
            .ToListAsync(cancellation);

    /// <summary>Kept bytes, held against their hash; null where they are not there, or not those that were kept.</summary>
    internal async Task<byte[]?> Kept(string sha256, CancellationToken cancellation) =>
        await assets.Find(sha256, cancellation) is { } asset
        && Convert.ToHexStringLower(SHA256.HashData(asset.Bytes)) == sha256
            ? asset.Bytes
            : null;

    /// <summary>How two packets differ, file by file: changed, gone and new names.</summary>
    internal static ImmutableArray<string> Differences(byte[] before, byte[] after)
    {
        var (old, now) = (Contents(before), Contents(after));
        return
        [
            .. old
                .Keys.Where(now.ContainsKey)
                .Where(name => old[name] != now[name])
                .Select(name => $"{name}: other contents"),
            .. old.Keys.Where(name => !now.ContainsKey(name)).Select(name => $"{name}: not made any more"),
            .. now.Keys.Where(name => !old.ContainsKey(name)).Select(name => $"{name}: new"),
        ];
    }

    private static Dictionary<string, string> Contents(byte[] zip)
    {
        using var archive = new ZipArchive(new MemoryStream(zip));
        return archive.Entries.ToDictionary(
            entry => entry.FullName,
            entry =>
            {
                using var stream = entry.Open();
                return Convert.ToHexStringLower(SHA256.HashData(stream));
            },
            StringComparer.Ordinal
        );
    }
}
