using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sets how something is filled. All of it is given: a null goes back to what cloth and thread ask for.</summary>
public sealed record SetFilled : MakingEdit<FilledMaking>
{
    public required FilledMaking Filled { get; init; }

    /// <summary>True to make a very large fill all the same.</summary>
    public bool IsLargeMeant { get; init; }

    public override string Label(Project before) => $"Change the fill of {PieceName(before)}";

    private protected override Refusal? Weighed(Element before, Project after, EditContext context) =>
        IsLargeMeant ? null : LargeFill.Asked(before, after, context);

    private protected override Result<Project> Change(Element element, FilledMaking making, Project project)
    {
        foreach (var thread in new[] { Filled.ThreadId, Filled.SecondThreadId, Filled.Edge?.ThreadId }.OfType<string>())
        {
            if (project.FindThread(thread) is null)
            {
                return EditRefusals.NoThread(thread);
            }
        }
        if (SetFilm.Unfit(project, Filled.FilmClothId) is { } wrong)
        {
            return wrong;
        }
        if (Filled.Guide.Length > FilledMaking.MostGuide)
        {
            return new Refusal(
                "guide-too-long",
                "guide",
                $"A guide may have {FilledMaking.MostGuide} places; this one has {Filled.Guide.Length}."
            );
        }
        if (MakingModules.Of(Filled).Check(Filled) is { } no)
        {
            return no;
        }
        return GuideEdits.Unfit(element, Filled.Guide) is { } unfit
            ? unfit
            : project.With(element.WithSettings(Filled));
    }
}
