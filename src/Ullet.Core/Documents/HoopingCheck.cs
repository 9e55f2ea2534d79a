using Ullet.Core.Projects;

namespace Ullet.Core.Documents;

/// <summary>Checks hoopings.</summary>
internal static class HoopingCheck
{
    internal static IEnumerable<Breach> Of(Project project, Hooping hooping) =>
        DocumentCheck
            .Found("", false, Limits.CheckName(hooping.Name, "The hooping"))
            .Concat(Of(hooping.Hoop))
            .Concat(
                DocumentCheck.Found(
                    "",
                    false,
                    Limits.CheckRange(
                        hooping.FootRadius,
                        StitchRanges.FootRadius.Least,
                        StitchRanges.FootRadius.Most,
                        "mm",
                        "The presser foot's radius",
                        "footRadius"
                    )
                )
            )
            .Concat(
                DocumentCheck.Found(
                    "",
                    true,
                    [
                        hooping.GroundClothId is null && hooping.StabiliserClothId is null
                            ? DocumentCheck.Missing("a hooping hoops nothing")
                            : null,
                        .. new[] { hooping.GroundClothId, hooping.StabiliserClothId }
                            .OfType<string>()
                            .Select(id => project.FindCloth(id) is null ? Missing("cloth", id) : null),
                        .. new[] { hooping.LineThreadId, hooping.CoverThreadId }.Select(id =>
                            project.FindThread(id) is null ? Missing("thread", id) : null
                        ),
                    ]
                )
            );

    internal static IEnumerable<Breach> Of(HoopingChoice choice) => choice.Hoop is { } hoop ? Of(hoop) : [];

    private static IEnumerable<Breach> Of(Hoop hoop) =>
        DocumentCheck.Found(
            "",
            false,
            Limits.CheckRange(hoop.FieldWidth, 20, 1000, "mm", "The width of the field", "fieldWidth"),
            Limits.CheckRange(hoop.FieldHeight, 20, 1000, "mm", "The height of the field", "fieldHeight"),
            new[] { hoop.MiddleX, hoop.MiddleY, hoop.MarginAcross, hoop.MarginDown }.All(n => Math.Abs(n) <= 1000)
                ? null
                : DocumentCheck.Missing("a hoop's middle or margin lies outside of it")
        );

    private static Pipeline.Refusal Missing(string what, string id) =>
        DocumentCheck.Missing($"the hooping names {what} \"{DocumentCheck.Short(id)}\", which is not in it");
}
