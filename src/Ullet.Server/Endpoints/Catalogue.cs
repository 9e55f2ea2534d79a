using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Projects;
using Ullet.Server.Help;

namespace Ullet.Server.Endpoints;

/// <summary>What may be chosen: hoops, shapes, operations, methods, the ranges of numbers, mm, and the font of new words.</summary>
public sealed record Catalogue(
    ImmutableArray<HoopChoice> Hoops,
    ImmutableArray<ShapeChoice> Shapes,
    ImmutableArray<OperationChoice> Operations,
    ImmutableArray<MethodChoice> Methods,
    ImmutableArray<CoverChoiceDto> Covers,
    ImmutableArray<MotifChoice> Motifs,
    ImmutableArray<ClothChoice> ClothKinds,
    ImmutableArray<HandChoice> HandKinds,
    NumberRange CoverWidth,
    NumberRange CoverSpacing,
    NumberRange OpenSpacing,
    NumberRange CoverInsideShare,
    NumberRange Compensation,
    NumberRange RunLength,
    NumberRange UnitLength,
    NumberRange BeanInset,
    NumberRange CutAllowance,
    string UsualFontId,
    ImmutableArray<CutProfile> CutProfiles,
    ImmutableArray<MatPrint> MatPrints,
    ImmutableArray<MakingChoice> Makings,
    ImmutableArray<StitchFormatChoice> StitchFormats,
    NumberRange BastingLength,
    ImmutableArray<CutFormatChoice> CutFormats,
    ImmutableArray<ZoneChoice> Zones,
    ImmutableArray<HoldingChoice> Holdings,
    ImmutableArray<GroundHoldChoice> GroundHolds,
    ImmutableArray<LayerRoleChoice> LayerRoles,
    ImmutableArray<InsertChoice> Inserts,
    ImmutableArray<InsertSideChoice> InsertSides,
    ImmutableArray<AdditionsFateRow> AdditionsFates,
    ImmutableArray<TackChoice> Tacks,
    ImmutableArray<LineRow> Lines,
    NumberRange LineWidth,
    NumberRange FillSpacing,
    NumberRange FillStitch,
    ImmutableArray<RowPatternRow> RowPatterns,
    ImmutableArray<TraitRow> Traits,
    ImmutableArray<OpenedRoleRow> OpenedRoles,
    ImmutableArray<VerbRow> Verbs,
    ImmutableArray<KeyRow> Keys,
    ImmutableArray<FindingRow> Findings
);
