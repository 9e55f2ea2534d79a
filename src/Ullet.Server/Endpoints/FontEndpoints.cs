using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Applique;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Fonts;
using Ullet.Server.Documents;
using Ullet.Server.Scenes;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>Words to show in every font: at a cap height or at a width, and the cover they are to take.</summary>
public sealed record SampleRequest
{
    public required string Text { get; init; }

    /// <summary>mm.</summary>
    public double? CapHeight { get; init; }

    /// <summary>mm; wins over the cap height.</summary>
    public double? Width { get; init; }

    /// <summary>The cover as set by hand; null for the usual one.</summary>
    public CoverSettings? Cover { get; init; }

    /// <summary>What is made of the words; null for cloth.</summary>
    public WordsUse? Use { get; init; }
}

/// <summary>The user's words in one font; lengths in mm.</summary>
/// <param name="Font">The font.</param>
/// <param name="Path">The words' edge, SVG path data; empty when characters are missing.</param>
/// <param name="Box">Its box.</param>
/// <param name="CapHeight">mm.</param>
/// <param name="Stroke">Width that half of the edge stays under; 0 without strokes.</param>
/// <param name="Thinnest">Width that a tenth of the edge stays under.</param>
/// <param name="Needed">What the cover needs.</param>
/// <param name="Verdict">Whether the strokes are wide enough.</param>
/// <param name="Missing">Characters that the font does not have.</param>
/// <param name="Said">What it gives for this making, in a few words; empty for cloth, where the stroke says it.</param>
/// <param name="IsLine">True for a font of single lines.</param>
public sealed record FontSample(
    FontEntry Font,
    string Path,
    SizeDto Box,
    double CapHeight,
    double Stroke,
    double Thinnest,
    double Needed,
    StrokeVerdict Verdict,
    ImmutableArray<string> Missing,
    string Said,
    bool IsLine
);

/// <summary>The user's words in one font as they would be sewn.</summary>
/// <param name="Thread">Their thread, SVG path data in tenths of a mm; empty for other uses than satin, and for long words.</param>
public sealed record SewnWords(string Thread);

/// <summary>What became of a font that was removed.</summary>
/// <param name="StillNeeded">Projects whose letters it keeps drawing.</param>
public sealed record RemovedFont(int StillNeeded);

/// <summary>/api/fonts: what may be chosen, the user's words in each, and removal of added ones.</summary>
internal static class FontEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/fonts").WithTags("Fonts");
        group.MapGet("", (FontShelf fonts) => TypedResults.Ok(fonts.Entries)).WithName("listFonts");
        group.MapPost("samples", Samples).WithName("sampleFonts");
        group.MapPost("{id}/sewn", Sewn).WithName("sewWords");
        group.MapDelete("{id}", Remove).WithName("removeFont");
    }

    private static Results<Ok<ImmutableArray<FontSample>>, ProblemHttpResult> Samples(
        SampleRequest request,
        FontShelf fonts,
        Evaluator evaluator,
        Workbench bench
    )
    {
        request = request with { Text = PlainText.Lines(request.Text) };
        var refusal = Check(request);
        if (refusal is not null)
        {
            return Problems.Of(refusal);
        }
        var cover = CoverChoice.Of(request.Cover ?? new CoverSettings(), ClothPreset.Of(null));
        return TypedResults.Ok(
            bench.Run(
                WorkKind.Changing,
                "Showing these words in every font",
                _ => fonts.Entries.Select(entry => Sample(entry, request, cover, evaluator)).ToImmutableArray()
            )
        );
    }

    private static Refusal? Check(SampleRequest request) =>
        WordsLimits.CheckText(request.Text)
        ?? Limits.CheckRange(request.CapHeight ?? 40, 1, 1000, "mm", "The cap height", "capHeight")
        ?? Limits.CheckRange(request.Width ?? 40, 1, 1000, "mm", "The width", "width");

    /// <summary>The words in one font as they would be sewn: asked for font by font, since that takes a while.</summary>
    private static Results<Ok<SewnWords>, ProblemHttpResult> Sewn(
        string id,
        SampleRequest request,
        FontShelf fonts,
        Evaluator evaluator,
        Workbench bench
    )
    {
        request = request with { Text = PlainText.Lines(request.Text) };
        if (Check(request) is { } refusal)
        {
            return Problems.Of(refusal);
        }
        if (fonts.Find(id) is not { } face || !face.Missing(request.Text).IsEmpty)
        {
            return TypedResults.Ok(new SewnWords(""));
        }
        var thread = bench.Run(
            WorkKind.Showing,
            "Showing these words as they would be sewn",
            stop =>
            {
                var laid = evaluator.Lay(Probe(id, request.Text));
                var scale = Scale(laid, request);
                return laid.Ink.IsEmpty
                    ? []
                    : SewnSample.Of(
                        Drawn(laid, Affine.Scale(scale, scale)),
                        laid.Letters.Length,
                        request.Use ?? WordsUse.OneByOne,
                        stop
                    );
            }
        );
        return TypedResults.Ok(new SewnWords(PathText.OfThread(thread)));
    }

    private static double Scale(LaidText laid, SampleRequest request) =>
        request.Width is { } width ? width / laid.Ink.Width : (request.CapHeight ?? 40) / LaidText.CapHeight;

    private static Outline Drawn(LaidText laid, Affine map) =>
        new([.. laid.Letters.SelectMany(letter => letter.Outline.Transform(map).Parts)])
        {
            Lines = [.. laid.Letters.SelectMany(letter => letter.Outline.Transform(map).Lines)],
        };

    private static FontSample Sample(
        FontEntry entry,
        SampleRequest request,
        Core.Stitches.CoverNumbers cover,
        Evaluator evaluator
    )
    {
        var needed = StrokeFit.Needed(cover);
        var missing = evaluator.Fonts.Find(entry.Id)?.Missing(request.Text) ?? [];
        var laid = missing.IsEmpty ? evaluator.Lay(Probe(entry.Id, request.Text)) : LaidText.Nothing;
        if (laid.Ink.IsEmpty)
        {
            return new FontSample(
                entry,
                "",
                new SizeDto(0, 0, 0, 0),
                0,
                0,
                0,
                needed,
                StrokeVerdict.TooThin,
                missing,
                "",
                false
            );
        }
        var scale = Scale(laid, request);
        var map = Affine.Scale(scale, scale);
        var outline = Drawn(laid, map);
        var isLine = SingleLineFonts.Has(entry.Id);
        // A letter that comes twice is measured once.
        var measured = laid
            .Letters.DistinctBy(letter => letter.Text)
            .SelectMany(letter => letter.Outline.Transform(map).Flatten(0.02));
        var strokes = InnerWidth.Of([.. measured]);
        var fit = Fit(request.Use ?? WordsUse.OneByOne, isLine, strokes, cover);
        return new FontSample(
            entry,
            PathText.Of(outline),
            SceneBuilder.Size(outline.Bounds())!,
            scale * LaidText.CapHeight,
            strokes?.Usual ?? 0,
            strokes?.Thin ?? 0,
            needed,
            fit.Verdict,
            missing,
            fit.Said,
            isLine
        );
    }

    private static LetterFit Fit(WordsUse use, bool isLine, InnerWidth? strokes, Core.Stitches.CoverNumbers cover) =>
        use switch
        {
            WordsUse.OneByOne or WordsUse.OnePiece => isLine
                ? new LetterFit(StrokeVerdict.TooThin, "lines: not for cloth")
                : new LetterFit(StrokeFit.Judge(strokes, cover), ""),
            WordsUse.StitchedOutline => isLine
                ? LetterFit.OfLines
                : new LetterFit(StrokeVerdict.Fits, "along its edges"),
            WordsUse.Filled => isLine
                ? new LetterFit(StrokeVerdict.TooThin, "lines: nothing to fill")
                : new LetterFit(StrokeVerdict.Fits, "filled"),
            WordsUse.Satin => isLine ? LetterFit.OfLines : LetterFit.InSatin(strokes),
        };

    private static TextForm Probe(string fontId, string text) => new() { Text = text, FontId = fontId };

    private static async Task<Results<Ok<RemovedFont>, ProblemHttpResult>> Remove(
        string id,
        AssetStore assets,
        CancellationToken cancellation
    )
    {
        var removed = await assets.RemoveFont(id, cancellation);
        return removed.IsOk ? TypedResults.Ok(new RemovedFont(removed.Value)) : Problems.Of(removed.Refusal!);
    }
}
