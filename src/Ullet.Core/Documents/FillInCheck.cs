using Ullet.Core.Projects;

namespace Ullet.Core.Documents;

/// <summary>Checks what changes from order to order.</summary>
internal static class FillInCheck
{
    internal static IEnumerable<Breach> Of(Project project)
    {
        if (project.FillIns.Length > FillInLimits.MostOfProject)
        {
            yield return DocumentCheck.TooMany("", "fill-ins", project.FillIns.Length, FillInLimits.MostOfProject);
        }
        var (ids, labels) = (
            new HashSet<string>(StringComparer.Ordinal),
            new HashSet<string>(StringComparer.OrdinalIgnoreCase)
        );
        foreach (var fillIn in project.FillIns)
        {
            if (!DocumentCheck.IsPlain(fillIn.Id) || !ids.Add(fillIn.Id))
            {
                yield return new Breach(
                    DocumentCheck.Missing($"a fill-in has the id \"{DocumentCheck.Short(fillIn.Id)}\", or two have it"),
                    fillIn.Id,
                    true
                );
            }
            if (fillIn.Check() is { } refusal)
            {
                yield return new Breach(refusal, fillIn.Id, false);
            }
            if (!labels.Add(fillIn.Label))
            {
                yield return new Breach(
                    new Pipeline.Refusal("label-twice", "label", $"Two fill-ins are called {fillIn.Label}."),
                    fillIn.Id,
                    false
                );
            }
            foreach (var breach in Options(project, fillIn))
            {
                yield return breach;
            }
        }
    }

    /// <summary>The elements of drawings to choose from are held to the same as those on the wall.</summary>
    private static IEnumerable<Breach> Options(Project project, FillIn fillIn) =>
        fillIn.Choices.SelectMany(elements => ElementCheck.Of(project with { Elements = elements }));
}
