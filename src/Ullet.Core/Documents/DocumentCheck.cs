using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Documents;

/// <summary>The one check of a whole document: for edits, pastes, imports, new projects and the reading of stored ones.</summary>
public static class DocumentCheck
{
    /// <summary>Everything in a document that is not as it must be; nothing for one that is whole.</summary>
    public static IEnumerable<Breach> Of(Project project)
    {
        var found = Own(project)
            .Concat(Counts(project))
            .Concat(ElementCheck.Of(project))
            .Concat(StepCheck.Of(project))
            .Concat(FillInCheck.Of(project));
        foreach (var breach in found)
        {
            Budget.Spend();
            yield return breach;
        }
    }

    /// <summary>What makes a document useless, or null.</summary>
    public static Refusal? Fatal(Project project) => Of(project).FirstOrDefault(breach => breach.IsFatal)?.Refusal;

    private static IEnumerable<Breach> Own(Project project)
    {
        if (project.Hoopings.IsDefaultOrEmpty)
        {
            return Found("", true, Missing("it has no hooping"));
        }
        return Found("", false, Limits.CheckName(project.Title, "The project"))
            .Concat(project.Hoopings.SelectMany(hooping => HoopingCheck.Of(project, hooping)))
            .Concat(project.HoopingChoices.SelectMany(HoopingCheck.Of))
            .Concat(Ids(project))
            .Concat(project.Cloths.SelectMany(cloth => Found(cloth.Id, false, ClothCheck(cloth))))
            .Concat(project.OpenedFiles.SelectMany(file => Found(file.Id, false, file.Check())))
            .Concat(project.Colourways.SelectMany(own => Found(own.Id, false, ColourwayCheck(own))))
            .Concat(project.Threads.SelectMany(thread => Found(thread.Id, false, thread.Check())));
    }

    /// <summary>Says what is wrong with a cloth, or null.</summary>
    public static Refusal? ClothCheck(Cloth cloth) =>
        Limits.CheckName(cloth.Name, "The cloth")
        ?? Limits.CheckColour(cloth.Colour, "The cloth")
        ?? (cloth.PatternColour is { } pattern ? Limits.CheckColour(pattern, "The cloth's pattern") : null)
        ?? (
            cloth.Swatch is { } swatch
                ? Limits.CheckRange(swatch.WidthMm, 5, 2000, "mm", "The width that a cloth's photo shows", "swatch")
                : null
        );

    private static Refusal? ColourwayCheck(Colourway colourway) =>
        Limits.CheckName(colourway.Name, "The colourway")
        ?? colourway
            .Cloths.Concat(colourway.Threads)
            .Select(own =>
                Limits.CheckName(own.Name, "A colour of a colourway")
                ?? Limits.CheckColour(own.Colour, $"{own.Name} in the colourway {colourway.Name}")
            )
            .FirstOrDefault(refusal => refusal is not null);

    /// <summary>Ids are plain, and there once.</summary>
    private static IEnumerable<Breach> Ids(Project project)
    {
        var lists = new (string What, IEnumerable<string> Ids)[]
        {
            ("elements", project.Elements.Select(element => element.Id)),
            ("cloths", project.Cloths.Select(cloth => cloth.Id)),
            ("threads", project.Threads.Select(thread => thread.Id)),
            ("colourways", project.Colourways.Select(own => own.Id)),
            ("opened stitch files", project.OpenedFiles.Select(file => file.Id)),
            ("hand steps", project.RunSheet.Hands.Select(hand => hand.Id)),
            (
                "hoopings",
                project
                    .Hoopings.Select(hooping => hooping.Id)
                    .Concat(project.HoopingChoices.Select(choice => choice.Id))
            ),
        };
        foreach (var (what, ids) in lists)
        {
            var seen = new HashSet<string>(StringComparer.Ordinal);
            foreach (var id in ids)
            {
                if (!IsPlain(id))
                {
                    yield return new Breach(Missing($"among the {what} is the id \"{Short(id)}\""), id, true);
                }
                else if (!seen.Add(id))
                {
                    yield return new Breach(Missing($"two {what} have the same id"), id, true);
                }
            }
        }
    }

    /// <summary>True for letters, figures, hyphens and underlines: ids go into step keys and files as they are.</summary>
    internal static bool IsPlain(string id) =>
        id.Length is > 0 and <= DocumentLimits.LongestId
        && id.All(c => char.IsAsciiLetterOrDigit(c) || c is '-' or '_');

    private static IEnumerable<Breach> Counts(Project project)
    {
        var counts = new (string What, int Count, int Most)[]
        {
            ("elements", project.Elements.Length, DocumentLimits.MostElements),
            ("cloths", project.Cloths.Length, DocumentLimits.MostCloths),
            ("threads", project.Threads.Length, DocumentLimits.MostThreads),
            ("colourways", project.Colourways.Length, Colourway.Most),
            (
                "colours of colourways",
                project.Colourways.Sum(own => own.Cloths.Length + own.Threads.Length),
                Colourway.Most * (DocumentLimits.MostCloths + DocumentLimits.MostThreads)
            ),
            ("hand steps of your own", project.RunSheet.Hands.Length, DocumentLimits.MostHands),
            ("steps in its order", project.RunSheet.Sequence.Length, DocumentLimits.MostSteps),
            ("decisions about steps", project.RunSheet.Steps.Length, DocumentLimits.MostSteps),
            ("curves", project.Elements.Sum(ElementCheck.CurvesOf), DocumentLimits.MostCurves),
            (
                "letters",
                project.Elements.Sum(element => element.FormedAs<TextForm>()?.Text.Length ?? 0),
                DocumentLimits.MostLetters
            ),
            ("opened stitch files", project.OpenedFiles.Length, OpenedFile.Most),
            ("hoopings", project.Hoopings.Length + project.HoopingChoices.Length, DocumentLimits.MostCloths),
            ("cut settings", project.Cut.Cloths.Length, DocumentLimits.MostCloths),
            ("numbers of its pattern", project.Pattern?.Numbers.Length ?? 0, DocumentLimits.MostFillIns),
            ("fill-ins", project.Pattern?.FillIns.Length ?? 0, DocumentLimits.MostFillIns),
        };
        return counts
            .Where(each => each.Count > each.Most)
            .Select(each => TooMany("", each.What, each.Count, each.Most));
    }

    internal static Breach TooMany(string owner, string what, int count, int most) =>
        new(
            new Refusal(
                "too-many",
                what,
                $"A project takes up to {most:N0} {what}; this one has {count:N0}. Divide it, or leave some out."
            ),
            owner,
            false
        )
        {
            Amount = count,
        };

    internal static IEnumerable<Breach> Found(string owner, bool isFatal, params ReadOnlySpan<Refusal?> refusals)
    {
        var found = new List<Breach>();
        foreach (var refusal in refusals)
        {
            if (refusal is not null)
            {
                found.Add(new Breach(refusal, owner, isFatal));
            }
        }
        return found;
    }

    internal static Refusal Missing(string why) =>
        new("project-broken", "project", $"This project can't be read: {why}.");

    internal static string Short(string text) => text.Length > 40 ? text[..40] + "…" : text;
}
