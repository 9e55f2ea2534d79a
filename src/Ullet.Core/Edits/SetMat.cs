using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sets the size of the cutter's mat, mm.</summary>
public sealed record SetMat : Edit
{
    public required double Width { get; init; }

    public required double Height { get; init; }

    public override string Label(Project before) => "Change the mat";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var refusal =
            Limits.CheckRange(Width, 50, 2000, "mm", "The width of the mat", "width")
            ?? Limits.CheckRange(Height, 50, 2000, "mm", "The height of the mat", "height");
        return refusal is not null
            ? refusal
            : project with
            {
                Cut = project.Cut with { MatWidth = Width, MatHeight = Height },
            };
    }
}
