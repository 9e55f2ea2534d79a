using System.Collections.Immutable;
using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Makes something else of an element's form: cloth, a line, a zone. Settings that are not in use any more are kept.</summary>
public sealed record SetMaking : OneElementEdit
{
    /// <summary>The kind of making, by its word.</summary>
    public required string Kind { get; init; }

    /// <summary>True to make a very large fill all the same.</summary>
    public bool IsLargeMeant { get; init; }

    public override string Label(Project before) =>
        $"Make {PieceName(before)} {MakingModules.Find(Kind)?.Name.ToLowerInvariant() ?? "something else"}";

    private protected override Refusal? Weighed(Element before, Project after, EditContext context) =>
        IsLargeMeant ? null : LargeFill.Asked(before, after, context);

    private protected override Result<Project> Change(Element element, Project project)
    {
        if (MakingModules.Find(Kind) is not { } module)
        {
            var kinds = string.Join(", ", MakingModules.All.Select(known => known.Kind));
            return new Refusal("making-unknown", "kind", $"Nothing is made as \"{Kind}\"; it is one of {kinds}.");
        }
        if (element.IsLocked)
        {
            return EditRefusals.Locked(element);
        }
        if (element.PatternPart is not null && !MayChange(element, module))
        {
            return new Refusal(
                "element-of-pattern",
                "elementId",
                $"{element.Name} is a part of the project's pattern, which says what is made of it."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
        }
        if (MakingFit.Check(element, module) is { } unfit)
        {
            return unfit;
        }
        return module.Unfit(element) is { } why
            ? new Refusal("making-unfit", "kind", why) { Kind = RefusalKind.NotPossible }
            : Made(project, To(element, module, project));
    }

    /// <summary>The document with the element; new words begin as these are made now.</summary>
    private static Project Made(Project project, Element changed) =>
        project.With(changed) with
        {
            Habits =
                changed.IsConstruction || WordsUses.Of(changed) is not { } use
                    ? project.Habits
                    : project.Habits with
                    {
                        WordsUse = use,
                    },
        };

    /// <summary>What may be made of an element, by the kinds' words.</summary>
    public static ImmutableArray<string> KindsOf(Element element) =>
        [
            .. MakingModules
                .All.Where(module => MakingFit.Goes(element.Form, module.Settings))
                .Where(module => element.PatternPart is null || MayChange(element, module))
                .Select(module => module.Kind),
        ];

    /// <summary>Words that a person fills in are sewn as they like, in thread: a pattern has no place at which their cloth is laid.</summary>
    private static bool MayChange(Element element, IMakingModule module) =>
        element.FormedAs<TextForm>() is not null
        && element.Making is LineMaking or SatinMaking
        && (module.Settings == typeof(LineMaking) || module.Settings == typeof(SatinMaking));

    /// <summary>The element made so: with the settings it had when it was made so before, or as a new one begins.</summary>
    internal static Element To(Element element, IMakingModule module, Project project) =>
        element.Made(
            element.Makings().FirstOrDefault(making => making.GetType() == module.Settings)
                ?? module.Begun(element, project)
        );
}
