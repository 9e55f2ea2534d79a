using System.Collections.Immutable;
using System.Globalization;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Edits;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Scenes;
using Ullet.Server.Shelf;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>A variant of a project in another size.</summary>
public sealed record NewVariant
{
    /// <summary>What it is called; null for the project's title with its size.</summary>
    public string? Title { get; init; }

    /// <summary>Width of all bare outlines together, mm. Left out for a project of a pattern.</summary>
    public double? Width { get; init; }

    /// <summary>Sizes and counts of the pattern that the project was made from.</summary>
    public ImmutableArray<PatternNumber> Numbers { get; init; } = [];
}

/// <summary>What a variant may be asked for, mm.</summary>
/// <param name="Title">The project's title.</param>
/// <param name="Width">Width of all bare outlines together; 0 without any.</param>
/// <param name="Height">Their height.</param>
/// <param name="Numbers">Sizes and counts of its pattern; none for a project that was not made from one.</param>
/// <param name="Siblings">The other projects of its set.</param>
public sealed record VariantStart(
    string Title,
    double Width,
    double Height,
    ImmutableArray<PatternValueDto> Numbers,
    ImmutableArray<VariantSibling> Siblings
);

/// <summary>Another project of a set.</summary>
public sealed record VariantSibling(string Id, string Title);

/// <summary>/api/projects/{id}/variants: the same thing in another size, in one set with it.</summary>
internal static class VariantEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}/variants").WithTags("Projects");
        group.MapGet("", Start).WithName("lookAtVariants");
        group.MapPost("", Make).WithName("makeVariant");
    }

    private static async Task<Results<Ok<VariantStart>, ProblemHttpResult>> Start(
        string id,
        DocumentHistory history,
        ShelfIndex index,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        if (await history.Load(id, cancellation) is not { } head)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var box = bench.Run(
            WorkKind.Showing,
            "This project",
            token => ResizeDesign.BareBox(head.Project, history.Context with { Cancellation = token })
        );
        var all = index.Shelved;
        var set = all.FirstOrDefault(entry => entry.Row.Id == id)?.Set?.Id;
        return TypedResults.Ok(
            new VariantStart(
                head.Project.Title,
                box.IsEmpty ? 0 : Math.Round(box.Width, 1),
                box.IsEmpty ? 0 : Math.Round(box.Height, 1),
                PatternDtos.NumbersOf(head.Project),
                [
                    .. all.Where(entry => set is not null && entry.Set?.Id == set && entry.Row.Id != id)
                        .Select(entry => new VariantSibling(entry.Row.Id, entry.Row.Title)),
                ]
            )
        );
    }

    private static async Task<Results<Created<CreatedProject>, ProblemHttpResult>> Make(
        string id,
        NewVariant wish,
        DocumentHistory history,
        ShelfChanges changes,
        UlletDb db,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        if (await history.Load(id, cancellation) is not { } head)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var edit = new ResizeDesign { Width = wish.Width, Numbers = wish.Numbers };
        var sized = bench.Run(
            WorkKind.Changing,
            "This variant",
            token => edit.Apply(head.Project, history.Context with { Cancellation = token })
        );
        if (!sized.IsOk)
        {
            return Problems.Of(DocumentHistory.Shown(sized.Refusal!, head.Project.Unit));
        }
        var title = wish.Title is { Length: > 0 } given ? PlainText.Line(given) : TitleOf(head.Project, wish);
        var made = await history.Create(
            sized.Value with
            {
                Title = await Titles.Free(db, title, cancellation),
            },
            "Variant in another size",
            cancellation,
            head.Project
        );
        if (!made.IsOk)
        {
            return Problems.Of(made.Refusal!);
        }
        var rows = await db
            .Projects.Where(project => project.Id == id || project.Id == made.Value.Id)
            .ToDictionaryAsync(project => project.Id, cancellation);
        await changes.Together(rows[id], rows[made.Value.Id], cancellation);
        var tags = await db.Tags.AsNoTracking().Where(tag => tag.ProjectId == id).ToListAsync(cancellation);
        db.Tags.AddRange(
            tags.Select(tag => new TagRow
            {
                ProjectId = made.Value.Id,
                Key = tag.Key,
                Tag = tag.Tag,
            })
        );
        await db.SaveChangesAsync(cancellation);
        return TypedResults.Created($"/api/projects/{made.Value.Id}", made.Value);
    }

    /// <summary>"Harvest patch, 120 mm wide", or by the pattern's first number.</summary>
    private static string TitleOf(Project project, NewVariant wish)
    {
        var number = wish.Width ?? wish.Numbers.Select(each => (double?)each.Value).FirstOrDefault() ?? 0;
        return string.Create(CultureInfo.InvariantCulture, $"{project.Title}, {number:0.#} mm");
    }
}
