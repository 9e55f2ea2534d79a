using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Layers;
using Ullet.Core.Makings;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Files.CutFiles;
using Ullet.Files.Fonts;
using Ullet.Files.StitchFiles;
using Ullet.Server.Devices;
using Ullet.Server.Documents;
using Ullet.Server.Help;
using Ullet.Server.Scenes;

namespace Ullet.Server.Endpoints;

/// <summary>The catalogue, from the tables of the core: the same for every project.</summary>
internal static class CatalogueOffer
{
    internal static readonly Catalogue All = new(
        [.. Hoop.Catalogue.Select(hoop => new HoopChoice(hoop.Name, hoop.FieldWidth, hoop.FieldHeight, hoop.Inches))],
        [
            .. ShapeNames.Offered.Select(shape => new ShapeChoice(
                ShapeNames.Of(shape),
                shape,
                PathText.Of(
                    ShapeContours.Outline(
                        shape,
                        ShapeChoice.Side * Math.Min(1, ShapeContours.Proportions(shape)),
                        ShapeChoice.Side / Math.Max(1, ShapeContours.Proportions(shape))
                    )
                )
            )),
        ],
        OperationChoice.All,
        [
            .. AppliqueMethods.All.Select(method => new MethodChoice(
                method.Id,
                method.Name,
                method.Summary,
                [.. method.Stages.Select(role => Stage(method, StageTable.Of(role)))],
                method.CutsToSize,
                method.Stages.Contains(StageId.Placement),
                method.CutAllowance is null ? "no cut shape"
                    : method.CutsToSize ? "exact piece"
                    : "rough template",
                method.OnlyCover
            )),
        ],
        CoverWords.All,
        [.. StitchUnit.All.Select(unit => new MotifChoice(unit.Id, unit.Name, unit.Length, CoverWords.PathOf(unit)))],
        [
            .. ClothTable
                .All.Select(row => row.Kind)
                .Select(kind =>
                {
                    var cloth = Stuff.Cloth("", "", "#ffffff", kind, ClothTexture.Plain);
                    var preset = ClothPreset.Of(cloth);
                    return new ClothChoice(
                        kind,
                        ClothTable.Of(kind).Name,
                        ClothTable.Of(kind).Use,
                        preset.Stabiliser,
                        preset.Topping,
                        preset.Needle
                    );
                }),
        ],
        [
            .. HandTable
                .All.Where(row => row.Kind is not (HandKind.HoopUp or HandKind.Finish))
                .Select(row => new HandChoice(
                    row.Kind,
                    row.Name,
                    row.Sentence,
                    row.Lays,
                    row.LaysBehind,
                    row.TakesAway,
                    row.Folds,
                    row.HoopOff
                )),
        ],
        Range(StitchRanges.CoverWidth, StitchDefaults.CoverWidth),
        Range(StitchRanges.CoverSpacing, StitchDefaults.CoverSpacing),
        Range(StitchRanges.OpenSpacing, StitchDefaults.ZigzagSpacing),
        Range(StitchRanges.CoverInsideShare, StitchDefaults.CoverInsideShare),
        Range(StitchRanges.PullCompensation, StitchDefaults.PullCompensation),
        Range(StitchRanges.RunLength, StitchDefaults.RunLength),
        Range(StitchRanges.UnitLength, StitchDefaults.BlanketSpacing),
        Range(StitchRanges.BeanInset, StitchDefaults.BeanInset),
        Range(StitchRanges.CutAllowance, 0),
        FontShelf.UsualId,
        CutProfiles.All,
        [new MatPrint("print-allotment", "Allotment print", 280)],
        [.. MakingModules.All.Select(making => new MakingChoice(making.Kind, making.Name, making.Summary))],
        [.. StitchFormats.All.Select(format => new StitchFormatChoice(format.Ending, format.Name, format.About))],
        Range(StitchRanges.BastingLength, StitchDefaults.BastingLength),
        [
            .. CutFormats.All.Select(format => new CutFormatChoice(
                format.Id,
                format.Name,
                format.About,
                format.Ending,
                StandInCutter.Runs(format.Id)
            )),
        ],
        [.. ZoneTable.All.Select(zone => new ZoneChoice(zone.Role, zone.Name, zone.Sentence))],
        [.. HoldingTable.All.Select(row => new HoldingChoice(row.Id, row.Name))],
        [.. GroundHoldTable.All.Select(row => new GroundHoldChoice(row.Id, row.Name))],
        [.. LayerRoleTable.All.Select(row => new LayerRoleChoice(row.Id, row.Name))],
        [.. InsertTable.All.Select(row => new InsertChoice(row.Kind, row.Name, new UserInsert(row.Kind, "")))],
        [.. InsertTable.Sides.Select(row => new InsertSideChoice(row.Id, row.Name))],
        AdditionsFateTable.All,
        [.. TackTable.All.Select(row => new TackChoice(row.Id, row.Name))],
        LineTable.All,
        Range(StitchRanges.LineWidth, StitchDefaults.ZigzagWidth),
        Range(FillLimits.Spacing, StitchDefaults.CoverSpacing),
        Range(FillLimits.StitchLength, FillChoice.StitchLength),
        RowPatternTable.All,
        [
            .. TraitTable.All.Select(trait => new TraitRow(
                trait.Id,
                trait.Name,
                trait.Source,
                trait.Choices,
                trait.SelectsBy,
                trait.CanBeSet
            )),
        ],
        OpenedRoleTable.All,
        VerbTable.All,
        KeyTable.All,
        FindingTable.All
    );

    private static StageChoice Stage(IAppliqueMethod method, StageRow row) =>
        new(
            row.Id,
            method.StageWords(row.Id),
            row.Why,
            method.StageAbout(row.Id),
            row.IsOfCovers,
            row.HoldsCloth,
            // What is set behind is held by a line that follows its own edge.
            row.HoldsCloth && !method.CoverLiesOnGround
        );

    private static NumberRange Range((double Least, double Most) range, double usual) =>
        new(range.Least, range.Most, usual);
}
