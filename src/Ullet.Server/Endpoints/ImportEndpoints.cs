using System.Security.Cryptography;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Pipeline;
using Ullet.Files.ProjectFiles;
using Ullet.Server.Data;

namespace Ullet.Server.Endpoints;

/// <summary>What an uploaded file is, and the token that opens it.</summary>
/// <param name="Token">For <see cref="NewProject.ImportToken"/>.</param>
/// <param name="Kind">"project".</param>
/// <param name="Title">The project's title.</param>
/// <param name="Hoop">The hoop's name.</param>
/// <param name="Pieces">How many pieces it has.</param>
public sealed record ImportPreview(string Token, string Kind, string Title, string Hoop, int Pieces);

/// <summary>/api/import: looks at a file and keeps its bytes; no project is changed.</summary>
internal static class ImportEndpoints
{
    internal static void Map(IEndpointRouteBuilder app) =>
        app.MapPost("/api/import", Import).WithTags("Import").WithName("importFile").DisableAntiforgery();

    private static async Task<Results<Ok<ImportPreview>, ProblemHttpResult>> Import(
        IFormFile file,
        UlletDb db,
        TimeProvider clock,
        CancellationToken cancellation
    )
    {
        using var stream = new MemoryStream();
        await file.CopyToAsync(stream, cancellation);
        var bytes = stream.ToArray();
        if (!file.FileName.EndsWith(".ullet", StringComparison.OrdinalIgnoreCase))
        {
            return Problems.Of(
                new Refusal(
                    "import-foreign",
                    "file",
                    $"\"{file.FileName}\" can't be opened; choose an Ullet project file (.ullet)."
                )
            );
        }
        var read = ProjectFile.Read(bytes);
        if (!read.IsOk)
        {
            return Problems.Of(read.Refusal!);
        }
        var token = Convert.ToHexStringLower(SHA256.HashData(bytes));
        if (!await db.Assets.AnyAsync(a => a.Sha256 == token, cancellation))
        {
            db.Assets.Add(
                new AssetRow
                {
                    Sha256 = token,
                    Kind = "project",
                    Bytes = bytes,
                    CreatedAt = clock.GetUtcNow().ToUnixTimeMilliseconds(),
                }
            );
            await db.SaveChangesAsync(cancellation);
        }
        var project = read.Value;
        return TypedResults.Ok(
            new ImportPreview(token, "project", project.Title, project.Hooping.Hoop.Name, project.Elements.Length)
        );
    }
}
