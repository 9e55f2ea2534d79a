using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Nodes;
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
    JsonObject? Cloth,
    JsonObject? Words,
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
    /// <param name="json">How answers are written.</param>
    internal static Element06 Of(ElementDto element, Evaluated source, JsonSerializerOptions json)
    {
        var document = source.Project.Find(element.Id)!;
        var made = element.Making is ConstructionMakingDto construction ? construction.Before : element.Making;
        var (zone, text) = (made as ZoneMakingDto, element.Form as TextFormDto);
        // Satin and fills came later: they are thread without cloth, as lines are.
        var line =
            made is SatinMakingDto satin ? new LineMakingDto(new LineSettings { ThreadId = satin.Set.ThreadId }, null)
            : made is FilledMakingDto filled
                ? new LineMakingDto(new LineSettings { ThreadId = filled.Set.ThreadId }, null)
            : made is LineMakingDto sewn ? sewn with { Stitching = Known(sewn.Stitching) }
            : null;
        // Words had cloth settings even where only their edges were sewn.
        var cloth =
            made as ClothMakingDto
            ?? (
                text is null || document.SettingsOf<ClothMaking>() is null ? null : ClothMakingDtos.Of(document, source)
            );
        var isLine = made is LineMakingDto or BastingMakingDto or SatinMakingDto or FilledMakingDto;
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
            cloth is null ? null : ClothOf(cloth, json),
            text is null ? null : WordsOf(text, line, json),
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

    /// <summary>Cloth had its id under another name, and its lines beside it.</summary>
    private static JsonObject ClothOf(ClothMakingDto cloth, JsonSerializerOptions json)
    {
        var shown = JsonSerializer.SerializeToNode(cloth, json)!.AsObject();
        shown.Remove("paths");
        shown.Remove("clothId");
        shown["id"] = cloth.ClothId;
        return shown;
    }

    /// <summary>Wider stitches along lines came later: teeth are a zigzag, a decorative stitch runs along.</summary>
    private static LineSettings Known(LineSettings line) =>
        line with
        {
            Kind = line.Kind switch
            {
                LineKind.Run or LineKind.Bean or LineKind.Zigzag => line.Kind,
                LineKind.Blanket => LineKind.Zigzag,
                LineKind.Motif => LineKind.Run,
            },
            Width = null,
            MotifId = null,
            IsMirrored = false,
        };

    /// <summary>Words said themselves what they were made into, and how their edges were sewn.</summary>
    private static JsonObject WordsOf(TextFormDto text, LineMakingDto? line, JsonSerializerOptions json)
    {
        var use =
            line is not null ? WordsUse.StitchedOutline
            : text.IsOnePiece ? WordsUse.OnePiece
            : WordsUse.OneByOne;
        var shown = JsonSerializer.SerializeToNode(text, json)!.AsObject();
        shown.Remove("isOnePiece");
        shown["use"] = JsonSerializer.SerializeToNode(use, json);
        shown["line"] = JsonSerializer.SerializeToNode(line?.Stitching ?? new LineSettings(), json);
        return shown;
    }
}
