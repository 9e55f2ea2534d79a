using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Drawings;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Files.Designs;
using Ullet.Files.Drawings;
using Ullet.Files.Fonts;
using Ullet.Files.Pictures;
using Ullet.Files.ProjectFiles;
using Ullet.Server.Documents;
using Ullet.Server.Scenes;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

public enum ImportKind
{
    Project,
    Drawing,
    Font,
    Picture,
    Stitches,
}

/// <summary>What an uploaded file is, and the token that edits and new projects name it by.</summary>
/// <param name="Token">The file's hash.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Name">The file's name without its ending.</param>
/// <param name="Drawing">For a drawing: what it would become at the size that the file says (or at a likely one).</param>
/// <param name="Font">For a font: it is added to the installation.</param>
/// <param name="Picture">For a picture: its size.</param>
public sealed record ImportPreview(
    string Token,
    ImportKind Kind,
    string Name,
    DrawingPreview? Drawing,
    FontEntry? Font,
    PictureSize? Picture
)
{
    /// <summary>For stitches: what they would be opened as.</summary>
    public StitchPreview? Stitches { get; init; }

    /// <summary>For a project: its title.</summary>
    public string? Title { get; init; }

    /// <summary>For a project: its hoop's name.</summary>
    public string? Hoop { get; init; }

    /// <summary>For a project: how many elements it has.</summary>
    public int? Pieces { get; init; }
}

/// <summary>What a drawing would become; lengths in mm.</summary>
/// <param name="SaysSize">True when the file gives a real length.</param>
/// <param name="MmPerUnit">What one of the file's units is taken for, mm.</param>
/// <param name="Box">Where it lies, as the paths do.</param>
/// <param name="Pieces">Closed pieces.</param>
/// <param name="Holes">Holes in them.</param>
/// <param name="Lines">Open lines.</param>
/// <param name="Crossing">Outlines that cross themselves.</param>
/// <param name="TooSmall">Left out for being under 1 mm.</param>
/// <param name="LeftOut">What is not imported, a sentence each.</param>
/// <param name="PiecePaths">Each piece with its holes, bottom to top, SVG path data.</param>
/// <param name="LinePath">All lines.</param>
public sealed record DrawingPreview(
    bool SaysSize,
    double MmPerUnit,
    SizeDto Box,
    int Pieces,
    int Holes,
    int Lines,
    int Crossing,
    int TooSmall,
    ImmutableArray<string> LeftOut,
    ImmutableArray<string> PiecePaths,
    string LinePath
);

/// <summary>How a drawing is to be taken; what is null is as the file says.</summary>
public sealed record DrawingWishRequest
{
    /// <summary>Width of the whole drawing, mm.</summary>
    public double? Width { get; init; }

    /// <summary>True size of one unit, mm.</summary>
    public double? MmPerUnit { get; init; }

    public FillRule? Crossing { get; init; }

    public bool InnerAreHoles { get; init; } = true;
}

/// <summary>/api/import: looks at a file and keeps its bytes; no project is changed.</summary>
internal static class ImportEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/import").WithTags("Import");
        group.MapPost("", Import).WithName("importFile").DisableAntiforgery();
        group.MapPost("{token}/drawing", Preview).WithName("previewDrawing");
        app.MapGet("/api/assets/{token}", Picture).WithTags("Import").WithName("getAsset");
    }

    private static async Task<Results<Ok<ImportPreview>, ProblemHttpResult>> Import(
        IFormFile file,
        AssetStore assets,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        using var stream = new MemoryStream();
        await file.CopyToAsync(stream, cancellation);
        var bytes = stream.ToArray();
        var name = Path.GetFileNameWithoutExtension(file.FileName);
        name = name.Length > 60 ? name[..60] : name;
        var preview = Path.GetExtension(file.FileName).ToLowerInvariant() switch
        {
            ".ullet" => await OfProject(bytes, name, assets, bench, cancellation),
            ".svg" or ".dxf" => await OfDrawing(bytes, name, assets, bench, cancellation),
            ".ttf" or ".otf" or ".woff" or ".woff2" or ".ttc" => await OfFont(bytes, name, assets, bench, cancellation),
            var ending when StitchDesignFiles.Endings.Contains(ending.TrimStart('.')) => await OfStitches(
                bytes,
                file.FileName,
                assets,
                bench,
                cancellation
            ),
            ".png" or ".jpg" or ".jpeg" => await OfPicture(bytes, name, assets, bench, cancellation),
            _ => new Refusal(
                "import-foreign",
                "file",
                $"\"{file.FileName}\" can't be opened; choose a drawing (.svg, .dxf), a font (.ttf, .otf), a picture (.png, .jpg), "
                    + "stitches (.ulst, .csv, .gcode) or an Ullet project file (.ullet)."
            ),
        };
        return preview.IsOk ? TypedResults.Ok(preview.Value) : Problems.Of(preview.Refusal!);
    }

    private static async Task<Result<ImportPreview>> OfProject(
        byte[] bytes,
        string name,
        AssetStore assets,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        var read = bench.Run(WorkKind.Reading, "Reading this project file", _ => ProjectFile.Read(bytes));
        if (!read.IsOk)
        {
            return read.Refusal!;
        }
        var token = await assets.Keep("project", bytes, cancellation);
        var project = read.Value.Project;
        return new ImportPreview(token, ImportKind.Project, name, null, null, null)
        {
            Title = project.Title,
            Hoop = project.Hooping.Hoop.Name,
            Pieces = project.Elements.Length,
        };
    }

    private static async Task<Result<ImportPreview>> OfDrawing(
        byte[] bytes,
        string name,
        AssetStore assets,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        var preview = bench.Run(
            WorkKind.Reading,
            "Reading this drawing",
            _ =>
                DrawingFiles
                    .Read(bytes)
                    .Then(read =>
                        Of(read, new DrawingWishRequest { MmPerUnit = read.MmPerUnit ?? LikelyUnit.Of(read) })
                    )
        );
        if (!preview.IsOk)
        {
            return preview.Refusal!;
        }
        var token = await assets.Keep(ImportedDrawings.Kind, bytes, cancellation);
        return new ImportPreview(token, ImportKind.Drawing, name, preview.Value, null, null);
    }

    private static async Task<Result<ImportPreview>> OfFont(
        byte[] bytes,
        string name,
        AssetStore assets,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        var read = bench.Run(WorkKind.Reading, "Reading this font", _ => FontReader.Read("", bytes));
        if (!read.IsOk)
        {
            return read.Refusal!;
        }
        var added = await assets.AddFont(bytes, cancellation);
        return added.IsOk
            ? new ImportPreview(added.Value.Id, ImportKind.Font, name, null, added.Value, null)
            : added.Refusal!;
    }

    private static async Task<Result<ImportPreview>> OfPicture(
        byte[] bytes,
        string name,
        AssetStore assets,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        var read = bench.Run(WorkKind.Reading, "Reading this picture", _ => PictureReader.Size(bytes));
        if (!read.IsOk)
        {
            return read.Refusal!;
        }
        var token = await assets.Keep(AssetStore.PictureKind, bytes, cancellation);
        return new ImportPreview(token, ImportKind.Picture, name, null, null, read.Value);
    }

    /// <summary>Stitches of one file; several, or the sizes in a zip, go to /api/stitches.</summary>
    private static async Task<Result<ImportPreview>> OfStitches(
        byte[] bytes,
        string name,
        AssetStore assets,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        var preview = StitchUploads.Look(name, bytes, bench);
        if (!preview.IsOk)
        {
            return preview.Refusal!;
        }
        await StitchUploads.Keep(preview.Value, bytes, assets, cancellation);
        return new ImportPreview(preview.Value.Token, ImportKind.Stitches, preview.Value.Name, null, null, null)
        {
            Stitches = preview.Value,
        };
    }

    private static Results<Ok<DrawingPreview>, ProblemHttpResult> Preview(
        string token,
        DrawingWishRequest wish,
        IImportedDrawings imports,
        Workbench bench
    )
    {
        var preview = bench.Run(
            WorkKind.Reading,
            "Reading this drawing",
            _ =>
                imports.Find(token) is { } drawing
                    ? Of(drawing, wish)
                    : new Refusal(
                        "import-unknown",
                        "token",
                        "That import is not known any more; choose the file again."
                    )
        );
        return preview.IsOk ? TypedResults.Ok(preview.Value) : Problems.Of(preview.Refusal!);
    }

    private static Result<DrawingPreview> Of(Drawing drawing, DrawingWishRequest wish) =>
        AddDrawing
            .Scale(drawing, wish.Width, wish.MmPerUnit)
            .Then(scale =>
            {
                var sorted = DrawingSorter.Sort(drawing, new DrawingWish(scale, wish.Crossing, wish.InnerAreHoles));
                var box = sorted.Bounds();
                return (Result<DrawingPreview>)
                    new DrawingPreview(
                        drawing.MmPerUnit is not null,
                        scale,
                        SceneBuilder.Size(box) ?? new SizeDto(0, 0, 0, 0),
                        sorted.Pieces.Length,
                        sorted.Pieces.Sum(piece => piece.Outline.Holes.Length),
                        sorted.Lines.Length,
                        sorted.Crossing,
                        sorted.TooSmall,
                        sorted.Tangled == 0
                            ? drawing.LeftOut
                            : drawing.LeftOut.Add(
                                $"{sorted.Tangled} {(sorted.Tangled == 1 ? "outline crosses" : "outlines cross")} itself more than "
                                    + $"{FilledOutline.MostCrossings:N0} times and is left out."
                            ),
                        [.. sorted.Pieces.Select(piece => PathText.Of(new Outline([piece.Outline])))],
                        PathText.Of(new Outline([]) { Lines = [.. sorted.Lines.Select(line => line.Path)] })
                    );
            });

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Picture(
        string token,
        AssetStore assets,
        HttpContext http,
        CancellationToken cancellation
    )
    {
        if (await assets.Find(token, cancellation) is not { Kind: AssetStore.PictureKind } asset)
        {
            return Problems.Of(new Refusal("picture-unknown", "token", "There is no such picture."));
        }
        http.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
        return TypedResults.File(asset.Bytes, PictureReader.MediaType(asset.Bytes));
    }
}
