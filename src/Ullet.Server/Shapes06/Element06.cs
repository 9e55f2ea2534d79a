using System.Collections.Immutable;
using Ullet.Core.Evaluation;
using Ullet.Core.Projects;
using Ullet.Server.Scenes.Elements;

namespace Ullet.Server.Shapes06;

/// <summary>The kinds of element that 0.6 told apart: a form and a making seen as one.</summary>
internal enum ElementKind
{
    Piece,
    Lettering,
    Line,
    Zone,
}

/// <summary>What 0.6 said of an element beside what is said of it now: one bag of fields for all kinds.</summary>
internal sealed record Element06(
    ElementKind Kind,
    ShapeSource? Shape,
    PieceHole? Hole,
    int HoleCount,
    Cloth06? Cloth,
    Words06? Words,
    LineSettings? Line,
    string PlacementPath,
    string TackPath,
    string BandPath,
    string CutPath,
    bool IsConstruction,
    string VisiblePath,
    string CoveredPath,
    string LaidPath,
    ImmutableArray<ClothPathDto> Cloths,
    ZoneRole? Zone,
    int ZoneFrom,
    int? ZoneUntil,
    string? Purpose
)
{
    private static readonly ClothPathsDto NoPaths = new("", "", "", "", "", "", "", []);

    /// <summary>An element of today as 0.6 saw it; a construction shape as what it was before.</summary>
    /// <param name="element">The element as it is shown today.</param>
    /// <param name="source">What it is drawn from.</param>
    internal static Element06 Of(ElementDto element, Evaluated source)
    {
        var document = source.Project.Find(element.Id)!;
        var made = element.Making is ConstructionMakingDto construction ? construction.Before : element.Making;
        var (line, zone, text) = (made as LineMakingDto, made as ZoneMakingDto, element.Form as TextFormDto);
        // Words had cloth settings even where only their edges were sewn.
        var cloth =
            made as ClothMakingDto
            ?? (
                text is null || document.SettingsOf<ClothMaking>() is null ? null : ClothMakingDtos.Of(document, source)
            );
        var isLine = made is LineMakingDto or BastingMakingDto;
        var holes = document.Form.HolesOf();
        var paths = cloth?.Paths ?? NoPaths;
        return new Element06(
            text is not null ? ElementKind.Lettering
                : zone is not null ? ElementKind.Zone
                : isLine ? ElementKind.Line
                : ElementKind.Piece,
            isLine && document.Form is DrawingForm ? null : document.Form.ShapeOf(),
            holes.Length == 1 ? holes[0] : null,
            holes.Length,
            cloth is null ? null : Cloth06.Of(cloth),
            text is null ? null : Words06.Of(text, line),
            text is null ? line?.Stitching : null,
            paths.Placement,
            paths.TackDown,
            paths.Band,
            paths.Cut,
            element.Making is ConstructionMakingDto,
            paths.Visible,
            paths.Covered,
            paths.Laid,
            paths.Cloths,
            zone?.Role,
            zone?.From ?? 0,
            zone?.Until,
            line?.Purpose
        );
    }
}

/// <summary>Cloth as 0.6 showed it.</summary>
internal sealed record Cloth06(
    string Id,
    Method Method,
    Holding Holding,
    double? CutAllowance,
    StagesDto Stages,
    CoverDto Cover,
    double TackInset,
    double RunLength,
    bool IsAsFirstSet
)
{
    internal static Cloth06 Of(ClothMakingDto cloth) =>
        new(
            cloth.ClothId,
            cloth.Method,
            cloth.Holding,
            cloth.CutAllowance,
            cloth.Stages,
            cloth.Cover,
            cloth.TackInset,
            cloth.RunLength,
            cloth.IsAsFirstSet
        );
}

/// <summary>Words as 0.6 showed them.</summary>
internal sealed record Words06(
    string Text,
    string FontId,
    string? FontName,
    LetterSizing Sizing,
    double CapHeight,
    TextAlign Align,
    double LineSpacing,
    double Spacing,
    double Slant,
    double Arc,
    WordsUse Use,
    LineSettings Line,
    ImmutableArray<LetterDto> Letters
)
{
    internal static Words06 Of(TextFormDto text, LineMakingDto? line) =>
        new(
            text.Text,
            text.FontId,
            text.FontName,
            text.Sizing,
            text.CapHeight,
            text.Align,
            text.LineSpacing,
            text.Spacing,
            text.Slant,
            text.Arc,
            line is not null ? WordsUse.StitchedOutline
                : text.IsOnePiece ? WordsUse.OnePiece
                : WordsUse.OneByOne,
            line?.Stitching ?? new LineSettings(),
            text.Letters
        );
}
