using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Moves elements by a distance.</summary>
public sealed record MoveElements : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>To the right, mm.</summary>
    public required double X { get; init; }

    /// <summary>Down, mm.</summary>
    public required double Y { get; init; }

    public override string Label(Project before) => $"Move {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        Chosen.Find(project, ElementIds).Then(elements => Chosen.Move(project, elements, X, Y));
}
