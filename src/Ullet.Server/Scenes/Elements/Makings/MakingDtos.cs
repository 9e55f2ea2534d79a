using System.Collections.Immutable;
using Ullet.Core.Evaluation;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;
using Ullet.Core.Stitches;

namespace Ullet.Server.Scenes.Elements;

/// <summary>Makings as screens show them; the only list of how.</summary>
internal static class MakingDtos
{
    private static readonly ImmutableDictionary<Type, Func<Making, Element, Evaluated, MakingDto>> All = new Dictionary<
        Type,
        Func<Making, Element, Evaluated, MakingDto>
    >
    {
        [typeof(ClothMaking)] = (_, element, evaluated) => ClothMakingDtos.Of(element, evaluated),
        [typeof(LineMaking)] = (making, _, _) => OfLine((LineMaking)making),
        [typeof(SatinMaking)] = (making, element, evaluated) =>
            SatinMakingDtos.Of((SatinMaking)making, element, evaluated),
        [typeof(FilledMaking)] = (making, element, evaluated) =>
            FilledMakingDtos.Of((FilledMaking)making, element, evaluated),
        [typeof(BastingMaking)] = (making, _, evaluated) => OfBasting((BastingMaking)making, evaluated.Project),
        [typeof(OpenedMaking)] = (making, _, evaluated) => OfOpened((OpenedMaking)making, evaluated.Project),
        [typeof(CutOnlyMaking)] = (making, element, evaluated) => OfCutOnly((CutOnlyMaking)making, element, evaluated),
        [typeof(ZoneMaking)] = (making, _, evaluated) => OfZone((ZoneMaking)making, evaluated),
        [typeof(ConstructionMaking)] = (_, element, evaluated) => OfConstruction(element, evaluated),
    }.ToImmutableDictionary();

    /// <summary>The making that an element has.</summary>
    internal static MakingDto Of(Element element, Evaluated evaluated) => Of(element.Making, element, evaluated);

    private static MakingDto Of(Making making, Element element, Evaluated evaluated) =>
        All[making.GetType()](making, element, evaluated);

    private static LineMakingDto OfLine(LineMaking line) => new(line.Stitching, line.Purpose);

    private static BastingMakingDto OfBasting(BastingMaking basting, Project project) =>
        new(
            basting.StitchLength ?? StitchDefaults.BastingLength,
            basting.ThreadId,
            project.Find(basting.HoldsId ?? "")?.MadeAs<ClothMaking>() is null ? null : basting.HoldsId
        );

    private static CutOnlyMakingDto OfCutOnly(CutOnlyMaking making, Element element, Evaluated evaluated) =>
        new(
            making.ClothId,
            making.Allowance ?? 0,
            making.CoveredBy is { } id
            && evaluated.Project.Find(id) is { } border
            && evaluated.CheckedOn.BorderOf(element) is { } match
                ? new BorderDto(
                    border.Name,
                    Math.Round(match.Bite, 2),
                    Math.Round(match.Outside, 2),
                    Math.Round(match.Covered, 3),
                    match.Holds
                )
                : null
        );

    private static OpenedMakingDto OfOpened(OpenedMaking making, Project project)
    {
        var file = project.OpenedFiles.FirstOrDefault(known => known.Id == making.FileId);
        return new OpenedMakingDto(
            making.ThreadId,
            making.Role,
            making.RoleWords,
            making.Sureness is not null,
            making.Sureness is < GuessedRole.Sure,
            making.Look,
            OpenedLookTable.Of(making.Look).Words,
            making.FileId,
            file?.Name,
            file?.Asset is { Length: > 0 } asset ? asset : null,
            making.Place + 1,
            making.IsFree,
            making.IsResting,
            [.. making.Before.Concat(making.After).Select(hands => hands.Text)],
            file?.Sizes ?? []
        );
    }

    private static ZoneMakingDto OfZone(ZoneMaking zone, Evaluated evaluated) =>
        new(zone.Role, NumberOf(zone.From, evaluated) ?? 0, NumberOf(zone.Until, evaluated));

    private static ConstructionMakingDto OfConstruction(Element element, Evaluated evaluated) =>
        new(element.Kept.LastOrDefault() is { } before ? Of(before, element, evaluated) : null);

    /// <summary>The number of a step in the run sheet, from 1; null for one that is not there.</summary>
    private static int? NumberOf(StepKey? key, Evaluated evaluated)
    {
        var at = key is null ? -1 : evaluated.RunSheet.Steps.Select(step => step.Key).ToList().IndexOf(key.Value);
        return at < 0 ? null : at + 1;
    }
}
