using Ullet.Core.Projects;

namespace Ullet.Core.Patterns;

/// <summary>What a pattern is made of in a project: the project's own cloths and threads, where it has them already.</summary>
/// <param name="project">The project; null to begin with the pattern's own.</param>
public sealed class PatternStuff(Project? project = null)
{
    /// <summary>The cloth that took the place of one that the pattern begins with; that one itself where none did.</summary>
    public Cloth Of(Cloth begun) => project?.FindCloth(begun.Id) ?? begun;

    /// <summary>The project's thread of lines, by name; null while there is no project.</summary>
    public string? LineThread => project?.FindThread(project.Hooping.LineThreadId)?.Name;

    /// <summary>The thread that an element's cover is sewn with, by name; null while there is no project.</summary>
    /// <param name="part">The pattern's part that is covered.</param>
    public string? CoverThread(PatternPart part)
    {
        var own = project?.Find(part.ElementId)?.SettingsOf<ClothMaking>()?.Stages.Cover.ThreadId;
        return (project?.FindThread(own) ?? project?.FindThread(project.Hooping.CoverThreadId))?.Name;
    }
}

/// <summary>Names an element of a pattern: the same at every size.</summary>
/// <param name="Name">Its name within the pattern.</param>
public readonly record struct PatternPart(string Name)
{
    /// <summary>The element's id in the document.</summary>
    public string ElementId => $"p-{Name}";

    /// <summary>The step of one of its stages.</summary>
    public StepKey Step(StageId stage) => new(ElementId, StageTable.Of(stage).Key, 0);

    /// <summary>Its only step, where it is a line.</summary>
    public StepKey Line => Step(StageId.Line);
}

/// <summary>Names a hand step of a pattern: the same at every size.</summary>
/// <param name="Name">Its part of the step key.</param>
public readonly record struct PatternHand(string Name)
{
    public StepKey Step => new(HandsAct.OwnerId, Name, 0);
}
