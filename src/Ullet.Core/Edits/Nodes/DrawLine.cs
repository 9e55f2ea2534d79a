using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Puts a line drawn with the pen on top of the stack: a closed one as a piece of cloth, an open one as a line.</summary>
public sealed record DrawLine : Edit
{
    /// <summary>The line in mm from the field's centre; its nodes' kinds go with its curves.</summary>
    public required DrawnLine Line { get; init; }

    public override string Label(Project before) => "Draw with the pen";

    public override Result<Project> Apply(Project project, EditContext context) =>
        DrawnByHand.Added(project, new DrawnShape([Line]));
}
