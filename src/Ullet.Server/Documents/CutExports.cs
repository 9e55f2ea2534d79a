using Microsoft.EntityFrameworkCore;
using Ullet.Core.Cutting;
using Ullet.Core.Evaluation;
using Ullet.Files.CutFiles;
using Ullet.Server.Data;

namespace Ullet.Server.Documents;

/// <summary>A cut file that was handed out.</summary>
/// <param name="ClothId">Its cloth.</param>
/// <param name="Sheet">Which sheet, from 1.</param>
/// <param name="ShapeKey">The one shape in it; null for a whole sheet.</param>
/// <param name="Format">Its format.</param>
/// <param name="Name">The file's name.</param>
/// <param name="At">When, Unix ms.</param>
/// <param name="IsCurrent">False when what is cut has changed since: the file is out of date.</param>
public sealed record CutExportDto(
    string ClothId,
    int Sheet,
    string? ShapeKey,
    CutFormat Format,
    string Name,
    long At,
    bool IsCurrent
);

/// <summary>Notes which cut files were handed out, and tells which of them still match the stitching.</summary>
public sealed class CutExports(UlletDb db, TimeProvider clock, ILogger<CutExports> log)
{
    /// <summary>Notes a file that goes out; on a full or read-only disk it goes out without a note.</summary>
    internal Task TryNote(
        Head head,
        CutSheet sheet,
        PlacedShape? placed,
        CutFormat format,
        string name,
        CancellationToken cancellation
    ) => SideNotes.Try(db, log, name, () => Note(head, sheet, placed, format, name, cancellation));

    /// <summary>Notes a file, in place of an older one of the same sheet and format.</summary>
    private async Task Note(
        Head head,
        CutSheet sheet,
        PlacedShape? placed,
        CutFormat format,
        string name,
        CancellationToken cancellation
    )
    {
        var (cloth, number, key) = (sheet.Cloth.Id, sheet.Number, placed?.Shape.Key ?? "");
        await using var transaction = await db.Database.BeginTransactionAsync(cancellation);
        await db
            .Exports.Where(row =>
                row.ProjectId == head.Row.Id
                && row.ClothId == cloth
                && row.Sheet == number
                && row.ShapeKey == key
                && row.Format == format
            )
            .ExecuteDeleteAsync(cancellation);
        db.Exports.Add(
            new ExportRow
            {
                ProjectId = head.Row.Id,
                Revision = head.Revision,
                ClothId = cloth,
                Sheet = number,
                ShapeKey = key,
                Format = format,
                Name = name,
                Stamp = CutStamp.Of(sheet, placed),
                At = clock.GetUtcNow().ToUnixTimeMilliseconds(),
            }
        );
        await db.SaveChangesAsync(cancellation);
        await transaction.CommitAsync(cancellation);
    }

    /// <summary>The files that were handed out of a project, each held against what is cut now.</summary>
    internal async Task<List<CutExportDto>> Of(string projectId, Evaluated evaluated, CancellationToken cancellation)
    {
        var rows = await db
            .Exports.AsNoTracking()
            .Where(row => row.ProjectId == projectId)
            .OrderBy(row => row.Id)
            .ToListAsync(cancellation);
        return rows.ConvertAll(row => new CutExportDto(
            row.ClothId,
            row.Sheet,
            row.ShapeKey.Length == 0 ? null : row.ShapeKey,
            row.Format,
            row.Name,
            row.At,
            Now(row, evaluated) is { } now && CutStamp.Agree(row.Stamp, now)
        ));
    }

    private static string? Now(ExportRow row, Evaluated evaluated)
    {
        if (row.ShapeKey.Length == 0)
        {
            var own = evaluated.Sheets.FirstOrDefault(each => each.Cloth.Id == row.ClothId && each.Number == row.Sheet);
            return own is null ? null : CutStamp.Of(own);
        }
        var found = evaluated
            .Sheets.SelectMany(sheet => sheet.Shapes.Select(placed => (Sheet: sheet, Placed: placed)))
            .FirstOrDefault(pair => pair.Placed.Shape.Key == row.ShapeKey && pair.Sheet.Cloth.Id == row.ClothId);
        return found.Placed is null ? null : CutStamp.Of(found.Sheet, found.Placed);
    }
}
