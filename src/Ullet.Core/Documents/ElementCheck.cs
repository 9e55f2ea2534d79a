using Ullet.Core.Forms;
using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Documents;

/// <summary>Checks what stands on the wall.</summary>
internal static class ElementCheck
{
    internal static IEnumerable<Breach> Of(Project project) =>
        project.Elements.SelectMany(element => Fatal(project, element).Concat(Limited(element)));

    /// <summary>Curves of everything that is drawn on an element.</summary>
    internal static int CurvesOf(Element element) => FormModules.Of(element.Form).Curves(element.Form);

    /// <summary>What nothing can be made of.</summary>
    private static IEnumerable<Breach> Fatal(Project project, Element element)
    {
        var cloth = element
            .Makings()
            .SelectMany(making => MakingModules.Of(making).ClothIds(making))
            .FirstOrDefault(id => project.FindCloth(id) is null);
        var missing = FormModules.Of(element.Form).Missing(element.Form);
        return DocumentCheck.Found(
            element.Id,
            true,
            [
                cloth is null
                    ? null
                    : DocumentCheck.Missing(
                        $"piece \"{DocumentCheck.Short(element.Name)}\" names cloth \"{DocumentCheck.Short(cloth)}\", which is not in it"
                    ),
                .. element.Operations.Select(operation =>
                    OperationLimits.CheckSources(project, element, operation) is { } wrong
                        ? DocumentCheck.Missing(wrong.Words.TrimEnd('.'))
                        : null
                ),
                MakingFit.Goes(element.Form, element.Making.GetType()) || element.IsConstruction
                    ? null
                    : DocumentCheck.Missing($"\"{DocumentCheck.Short(element.Name)}\" is made as its form can't be"),
                element.Sketch?.Check() is { } nature
                    ? DocumentCheck.Missing($"of \"{DocumentCheck.Short(element.Name)}\": {nature.Words.TrimEnd('.')}")
                    : null,
                missing is null
                    ? null
                    : DocumentCheck.Missing($"of \"{DocumentCheck.Short(element.Name)}\": {missing}"),
                element.Kept.Append(element.Making).DistinctBy(making => making.GetType()).Count()
                <= element.Kept.Length
                    ? DocumentCheck.Missing(
                        $"\"{DocumentCheck.Short(element.Name)}\" keeps settings of one kind of making twice"
                    )
                    : null,
            ]
        );
    }

    /// <summary>The limits that new input keeps.</summary>
    private static IEnumerable<Breach> Limited(Element element)
    {
        var own = DocumentCheck
            .Found(
                element.Id,
                false,
                Limits.CheckName(element.Name, "The element"),
                Form(element),
                Making(element),
                GroupNames.Check(element.GroupNames)
            )
            .Concat(Sized(element))
            .Concat(
                element.Operations.SelectMany(operation =>
                    DocumentCheck.Found(element.Id, false, OperationLimits.Check(operation))
                )
            );
        return own.Concat(
            new[] { ("operations on one element", element.Operations.Length, OperationLimits.MostOperations) }
                .Concat(FormModules.Of(element.Form).Counts(element.Form))
                .Concat(element.Makings().SelectMany(making => MakingModules.Of(making).Counts(making)))
                .Select(each => (What: each.Item1, Count: each.Item2, Most: each.Item3))
                .Where(each => each.Count > each.Most)
                .Select(each => DocumentCheck.TooMany(element.Id, each.What, each.Count, each.Most))
        );
    }

    private static IEnumerable<Breach> Sized(Element element)
    {
        var box = element.Box;
        return DocumentCheck
            .Found(element.Id, false, Limits.CheckBox(box, element.Name, mayBeFlat: element.IsLinework))
            .Select(breach =>
                breach with
                {
                    Amount = breach.Refusal.Place switch
                    {
                        "width" => Math.Abs(box.Width),
                        "height" => Math.Abs(box.Height),
                        "x" => Math.Abs(box.X),
                        "y" => Math.Abs(box.Y),
                        _ => 0,
                    },
                }
            );
    }

    /// <summary>Says what is wrong with where the outline comes from, or null.</summary>
    internal static Refusal? Form(Element element) => FormModules.Of(element.Form).Check(element.Form);

    /// <summary>Says what is wrong with what is made of it, or was, or null.</summary>
    internal static Refusal? Making(Element element) =>
        element.Makings().Select(making => MakingModules.Of(making).Check(making)).FirstOrDefault(no => no is not null);
}
