using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Applies a piece in another way; numbers set by hand stay. New pieces begin with it from now on.</summary>
public sealed record SetMethod : ClothEdit
{
    public required Method Method { get; init; }

    /// <summary>What keeps the cloth in place until it is tacked down; null for as it is.</summary>
    public Holding? Holding { get; init; }

    public override string Label(Project before) => $"Change the method of {PieceName(before)}";

    private protected override Result<Project> Change(AppliqueElement piece, Project project) =>
        project.With(piece.With(piece.Making with { Method = Method, Holding = Holding ?? piece.Holding })) with
        {
            Habits = project.Habits with { Method = Method, Holding = Holding ?? project.Habits.Holding },
        };
}
