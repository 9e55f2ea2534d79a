using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Documents;

/// <summary>Checks what was decided about steps, cut sheets and patterns.</summary>
internal static class StepCheck
{
    internal static IEnumerable<Breach> Of(Project project) => Steps(project).Concat(Cut(project)).Concat(Use(project));

    private static IEnumerable<Breach> Steps(Project project) =>
        project
            .RunSheet.Hands.SelectMany(hand =>
                DocumentCheck.Found(
                    hand.Id,
                    false,
                    Text(hand.Text, UserHandStep.LongestText, "text") ?? NotEmpty(hand.Text),
                    Text(hand.Warning, DocumentLimits.LongestNote, "warning"),
                    Text(hand.Check, DocumentLimits.LongestNote, "check"),
                    hand.Area is { } area ? Limits.CheckBox(area, "a laid cloth") : null,
                    hand.ClothId is { } cloth && project.FindCloth(cloth) is null
                        ? new Refusal(
                            "cloth-unknown",
                            "clothId",
                            $"There is no cloth \"{DocumentCheck.Short(cloth)}\"."
                        )
                        {
                            Kind = RefusalKind.NotFound,
                        }
                        : null
                )
            )
            .Concat(
                project.RunSheet.Steps.SelectMany(step =>
                    DocumentCheck
                        .Found(step.Key.OwnerId, false, Text(step.Note, DocumentLimits.LongestNote, "note"))
                        .Concat(DocumentCheck.Found(step.Key.OwnerId, true, StepOverride.CheckPhoto(step.Photo)))
                )
            );

    private static IEnumerable<Breach> Cut(Project project)
    {
        var cut = project.Cut;
        if (cut.Cloths.Select(cloth => cloth.ClothId).Distinct(StringComparer.Ordinal).Count() < cut.Cloths.Length)
        {
            yield return new Breach(DocumentCheck.Missing("a cloth has two cut settings"), "", true);
        }
        var refusal = CutLimits.Check(new MatSize(cut.MatWidth, cut.MatHeight, cut.MatMargin));
        if (refusal is not null)
        {
            yield return new Breach(refusal, "", false);
        }
        foreach (var cloth in cut.Cloths)
        {
            if (CutLimits.Check(cloth) is { } wrong)
            {
                yield return new Breach(wrong, cloth.ClothId, false);
            }
            var many = Math.Max(
                Math.Max(cloth.Places.Length, cloth.Roles.Length),
                cloth.Together.Sum(group => group.Keys.IsDefault ? 0 : group.Keys.Length)
            );
            if (many > DocumentLimits.MostPlaces)
            {
                yield return DocumentCheck.TooMany(
                    cloth.ClothId,
                    "places on its mats",
                    many,
                    DocumentLimits.MostPlaces
                );
            }
        }
    }

    private static IEnumerable<Breach> Use(Project project) =>
        project.Pattern is { } use
            ? use.FillIns.SelectMany(fill =>
                DocumentCheck.Found(fill.Id, false, Text(fill.Text, DocumentLimits.LongestNote, "fillIns"))
            )
            : [];

    private static Refusal? Text(string? text, int longest, string place) =>
        text?.Length > longest
            ? new Refusal(
                "text-too-long",
                place,
                $"What hands are told takes up to {longest} characters at a time; this has {text.Length:N0}."
            )
            : null;

    private static Refusal? NotEmpty(string text) =>
        text.Length == 0 ? new Refusal("text-empty", "text", "A hand step has no words.") : null;
}
