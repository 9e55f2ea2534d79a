using System.Collections.Immutable;
using Ullet.Core.Evaluation;
using Ullet.Core.Forms;
using Ullet.Core.Geometry;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;

namespace Ullet.Server.Scenes;

/// <summary>A pattern that a project may be made from.</summary>
/// <param name="Id">Names it.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Summary">What it is, in a sentence.</param>
/// <param name="Numbers">Its sizes and counts.</param>
/// <param name="Choices">Its variants and outlines.</param>
/// <param name="FillIns">Its words and motifs.</param>
/// <param name="Hardware">What one may begin from.</param>
/// <param name="Drawing">Its drawing at the usual size.</param>
public sealed record PatternDto(
    string Id,
    string Name,
    string Summary,
    ImmutableArray<PatternNumberField> Numbers,
    ImmutableArray<PatternChoice> Choices,
    ImmutableArray<PatternFillIn> FillIns,
    ImmutableArray<HardwareStart> Hardware,
    PatternDrawingDto Drawing
);

/// <summary>A pattern at a size.</summary>
/// <param name="Drawing">Its drawing.</param>
/// <param name="Hoop">The smallest hoop that takes it; null when none does.</param>
/// <param name="Width">What its stitching takes, mm.</param>
/// <param name="Height">What its stitching takes, mm.</param>
/// <param name="Stops">How often the machine stops for hands, as far as the pattern alone asks.</param>
public sealed record PatternPreviewDto(PatternDrawingDto Drawing, string? Hoop, double Width, double Height, int Stops);

/// <summary>Lines to draw, SVG path data, mm from the middle.</summary>
/// <param name="Width">Width of what is drawn.</param>
/// <param name="Height">Height of what is drawn.</param>
/// <param name="Edge">The finished edge.</param>
/// <param name="Lines">What is sewn inside.</param>
/// <param name="Zones">What is kept clear.</param>
/// <param name="Rooms">Where fill-ins go.</param>
/// <param name="Shown">What the fill-ins show.</param>
public sealed record PatternDrawingDto(
    double Width,
    double Height,
    string Edge,
    string Lines,
    string Zones,
    string Rooms,
    string Shown
);

/// <summary>The pattern of a project as it stands.</summary>
/// <param name="Id">Names it.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Numbers">Its sizes and counts.</param>
/// <param name="Choices">Its variants and outlines.</param>
/// <param name="FillIns">Its words and motifs.</param>
/// <param name="Cloths">What it is made of.</param>
/// <param name="Advice">Stabiliser, needle, seam allowance, a sentence each.</param>
/// <param name="Additions">The names of what the user added on its panels.</param>
public sealed record ProjectPatternDto(
    string Id,
    string Name,
    ImmutableArray<PatternValueDto> Numbers,
    ImmutableArray<PatternChosenDto> Choices,
    ImmutableArray<PatternFilledDto> FillIns,
    ImmutableArray<ClothNeedDto> Cloths,
    ImmutableArray<string> Advice,
    ImmutableArray<string> Additions
);

/// <summary>A size or a count with its value.</summary>
public sealed record PatternValueDto(string Id, string Label, double Least, double Most, double Value, bool IsCount);

/// <summary>A choice with what is chosen.</summary>
public sealed record PatternChosenDto(string Id, string Label, string Chosen, ImmutableArray<PatternOption> Options);

/// <summary>A fill-in with what it says.</summary>
public sealed record PatternFilledDto(string Id, string Label, string Text, ImmutableArray<string> Choices);

/// <summary>A cloth to cut, its size rounded up, or null for what is hooped or a scrap.</summary>
public sealed record ClothNeedDto(string ClothId, string Name, string Use, string? Size, int Count, string? Advice);

/// <summary>Puts together what screens show of patterns.</summary>
internal static class PatternDtos
{
    internal static PatternDto Of(IPattern pattern) =>
        new(
            pattern.Id,
            pattern.Name,
            pattern.Summary,
            pattern.Numbers,
            pattern.Choices,
            pattern.FillIns,
            pattern.Hardware,
            Drawing(PatternShelf.Plan(PatternShelf.Begun(pattern.Id)).Value)
        );

    /// <summary>What a project made from a pattern looks like.</summary>
    internal static PatternPreviewDto Preview(Project project, Evaluator evaluator)
    {
        var plan = PatternShelf.PlanOf(project)!;
        var shown = plan
            .Places.Select(place => project.Find(place.ElementId))
            .OfType<Element>()
            .Select(element => PathText.Of(evaluator.OutlineOf(element)));
        return new(
            Drawing(plan, string.Concat(shown)),
            PatternShelf.SmallestHoop(plan)?.Name,
            plan.Sewn.Width,
            plan.Sewn.Height,
            Enumerable.Range(1, plan.Acts.Length - 1).Count(i => plan.Acts[i - 1] is SewAct && plan.Acts[i] is HandsAct)
        );
    }

    /// <summary>The pattern of a project; null for one made by hand.</summary>
    internal static ProjectPatternDto? Of(Evaluated evaluated)
    {
        var project = evaluated.Project;
        if (project.Pattern is not { } use || PatternShelf.Find(use) is not { } pattern)
        {
            return null;
        }
        var plan = PatternShelf.PlanOf(project);
        return new ProjectPatternDto(
            pattern.Id,
            pattern.Name,
            Numbers(pattern, use),
            [
                .. pattern
                    .Choices.Where(choice => IsAsked(pattern, use, choice.Only))
                    .Select(choice => new PatternChosenDto(
                        choice.Id,
                        choice.Label,
                        use.ChoiceOf(choice.Id) ?? choice.Usual,
                        choice.Options
                    )),
            ],
            [
                .. pattern.FillIns.Select(fill => new PatternFilledDto(
                    fill.Id,
                    fill.Label,
                    use.TextOf(fill.Id) ?? fill.Usual,
                    fill.Choices
                )),
            ],
            [
                .. (plan?.Cloths ?? []).Select(need => new ClothNeedDto(
                    need.Cloth.Id,
                    project.FindCloth(need.Cloth.Id)?.Name ?? need.Cloth.Name,
                    need.Use,
                    need.Width > 0 ? LengthText.AtLeast(need.Width, need.Height) : null,
                    need.Count,
                    need.Advice
                )),
            ],
            plan?.Advice ?? [],
            [.. PatternShelf.AdditionsOf(project).Select(element => element.Name)]
        );
    }

    /// <summary>The sizes and counts of a project's pattern; none for one made by hand.</summary>
    internal static ImmutableArray<PatternValueDto> NumbersOf(Project project) =>
        project.Pattern is { } use && PatternShelf.Find(use) is { } pattern ? Numbers(pattern, use) : [];

    private static ImmutableArray<PatternValueDto> Numbers(IPattern pattern, PatternUse use) =>
        [
            .. pattern
                .Numbers.Where(field => IsAsked(pattern, use, field.Only))
                .Select(field => new PatternValueDto(
                    field.Id,
                    field.Label,
                    field.Least,
                    field.Most,
                    use.NumberOf(field.Id) ?? field.Usual,
                    field.IsCount
                )),
        ];

    private static bool IsAsked(IPattern pattern, PatternUse use, PatternCondition? only) =>
        only is null
        || only.Options.Contains(
            use.ChoiceOf(only.ChoiceId) ?? pattern.Choices.First(choice => choice.Id == only.ChoiceId).Usual
        );

    private static PatternDrawingDto Drawing(PatternPlan plan, string shown = "")
    {
        var outlines = new OutlineStation(new Core.Lettering.NoFonts());
        string PathOf(Element element) => PathText.Of(outlines.Compute(element, CancellationToken.None).Whole);
        bool IsEdge(Element element) => element.Id == plan.ClosingSeamId || element.MadeAs<ClothMaking>() is not null;
        return new PatternDrawingDto(
            plan.Sewn.Width,
            plan.Sewn.Height,
            string.Concat(plan.Elements.Where(IsEdge).Select(PathOf)),
            string.Concat(
                plan.Elements.Where(element => element.MadeAs<LineMaking>() is not null && !IsEdge(element))
                    .Select(PathOf)
            ),
            string.Concat(plan.Elements.Where(zone => zone.MadeAs<ZoneMaking>() is { Until: null }).Select(PathOf)),
            string.Concat(plan.Places.Select(place => PathText.Of([new Region(Corners(place.Room), [])]))),
            shown
        );
    }

    private static Ring Corners(Box box) => Ring.Of(box.Corners());
}
