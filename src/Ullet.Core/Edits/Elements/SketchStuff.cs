using Ullet.Core.Projects;
using Ullet.Core.Sketches;

namespace Ullet.Core.Edits;

/// <summary>The cloths and threads of small drawings: the project gets what it has not yet.</summary>
internal static class SketchStuff
{
    /// <summary>The project with the thread of a part, and its cloth where it is made of cloth.</summary>
    internal static Project With(Project project, SketchNature part, SketchWay way)
    {
        if (project.FindThread(part.Colour.Thread.Id) is null)
        {
            project = project with { Threads = project.Threads.Add(part.Colour.Thread) };
        }
        return part.Role == SketchRole.Body && way == SketchWay.Cloth && project.FindCloth(part.Colour.Cloth.Id) is null
            ? project with
            {
                Cloths = project.Cloths.Add(part.Colour.Cloth),
            }
            : project;
    }

    /// <summary>What is made of a part; its cloth and thread are there.</summary>
    internal static Making Making(Project project, SketchNature part, SketchWay way, Element element) =>
        SketchMaking.Of(
            part,
            way,
            element,
            AddPiece.Begun(project, part.Colour.Cloth.Id),
            part.Colour.Cloth.Id,
            part.Colour.Thread.Id
        );
}
