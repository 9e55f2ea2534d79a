using Ullet.Core.Cutting;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Files.CutFiles;

namespace Ullet.Server.Endpoints;

/// <summary>Which cut shapes a request means: a sheet, or one shape of it.</summary>
internal sealed record CutChoice(CutSheet Sheet, PlacedShape? Placed)
{
    internal CutPage Page(string title) => Placed is null ? CutPage.Of(title, Sheet) : CutPage.Of(title, Sheet, Placed);

    /// <summary>One element's shape, one cloth's sheet, or the only sheet there is.</summary>
    internal static Result<CutChoice> Find(Evaluated evaluated, CutQuery query)
    {
        if (evaluated.Sheets.IsEmpty)
        {
            return new Refusal("nothing-to-cut", "id", "This project has nothing to cut yet; add a piece first.");
        }
        if (query.Element is { } element)
        {
            return OfElement(evaluated, element, query.Piece);
        }
        var sheets = query.Cloth is { } cloth
            ? evaluated.Sheets.Where(sheet => sheet.Cloth.Id == cloth).ToList()
            : [.. evaluated.Sheets];
        if (sheets.Count == 0)
        {
            return new Refusal(
                "cloth-unknown",
                "cloth",
                $"Nothing is cut from a cloth \"{query.Cloth}\" in this project."
            )
            {
                Kind = RefusalKind.NotFound,
            };
        }
        if (sheets.Select(sheet => sheet.Cloth.Id).Distinct().Skip(1).Any())
        {
            return new Refusal(
                "cloth-missing",
                "cloth",
                $"This project cuts {sheets.Select(sheet => sheet.Cloth.Id).Distinct().Count()} cloths; say which: "
                    + string.Join(", ", sheets.Select(sheet => sheet.Cloth.Id).Distinct())
                    + "."
            );
        }
        if (query.Sheet is null && sheets.Count > 1)
        {
            return new Refusal(
                "sheet-missing",
                "sheet",
                $"{sheets[0].Cloth.Name} is cut from {sheets.Count} sheets; say which: 1 to {sheets.Count}."
            );
        }
        return sheets.Find(sheet => sheet.Number == (query.Sheet ?? sheets[0].Number)) is { } own
            ? new CutChoice(own, null)
            : new Refusal(
                "sheet-unknown",
                "sheet",
                $"{sheets[0].Cloth.Name} has no sheet {query.Sheet}; it is cut from {sheets.Count}."
            )
            {
                Kind = RefusalKind.NotFound,
            };
    }

    private static Result<CutChoice> OfElement(Evaluated evaluated, string element, int? piece)
    {
        foreach (var sheet in evaluated.Sheets)
        {
            var placed = sheet.Shapes.FirstOrDefault(p =>
                p.Shape.ElementId == element && p.Shape.Ordinal == (piece ?? p.Shape.Ordinal)
            );
            if (placed is not null)
            {
                return new CutChoice(sheet, placed);
            }
        }
        return new Refusal("element-unknown", "element", $"There is no piece \"{element}\" to cut in this project.")
        {
            Kind = RefusalKind.NotFound,
        };
    }
}

/// <summary>What a request for a cut file asks for.</summary>
internal sealed record CutQuery
{
    /// <summary>A cloth's id.</summary>
    public string? Cloth { get; init; }

    /// <summary>Which of the cloth's sheets, from 1.</summary>
    public int? Sheet { get; init; }

    /// <summary>An element's id: its shape alone.</summary>
    public string? Element { get; init; }

    /// <summary>Which piece of cloth of the element.</summary>
    public int? Piece { get; init; }

    /// <summary>What a PDF is printed on: a4, letter, sheet.</summary>
    public string? Paper { get; init; }

    /// <summary>Pixels per inch of a PNG.</summary>
    public int? Dpi { get; init; }

    /// <summary>True for grey pixels along the edges of a PNG.</summary>
    public bool? Smooth { get; init; }

    /// <summary>True for a file that is only tried out: it is not noted as made.</summary>
    public bool? Trial { get; init; }

    /// <summary>The file that is wished, or why there is none such.</summary>
    internal Result<CutFileWish> Wish(string format)
    {
        if (CutFormats.Find(format) is not { } row)
        {
            return new Refusal(
                "format-unknown",
                "format",
                $"Cut files come as {string.Join(", ", CutFormats.All.Select(known => known.Ending))}; \"{format}\" is none of them."
            );
        }
        return PaperOf(Paper)
            .Then(paper => (Result<CutFileWish>)new CutFileWish(row.Id, paper, Dpi ?? 300, Smooth ?? false));
    }

    internal static Result<Paper> PaperOf(string? name) =>
        name is null ? Files.CutFiles.Paper.A4
        : Enum.TryParse<Paper>(name, ignoreCase: true, out var paper) && Enum.IsDefined(paper) && !char.IsDigit(name[0])
            ? paper
        : new Refusal(
            "paper-unknown",
            "paper",
            $"A PDF is printed on a4, letter, or one sheet as large as the mat; \"{name}\" is none of them."
        );
}
