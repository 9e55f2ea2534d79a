using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Marks something as changing from order to order, or changes what was said of it.</summary>
public sealed record MarkFillIn : Edit
{
    /// <summary>What is marked. One with an id that the project has takes its place; an empty id is a new one.</summary>
    public required FillIn FillIn { get; init; }

    public override string Label(Project before) => $"Let {FillIn.Label} change from order to order";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var gone = FillIn.Elements.FirstOrDefault(id => project.Find(id) is null);
        if (gone is not null)
        {
            return EditRefusals.NoElement(gone);
        }
        var (given, next) =
            FillIn.Id.Length > 0
                ? (FillIn, project.NextNumber)
                : (FillIn with { Id = $"f{project.NextNumber}" }, project.NextNumber + 1);
        if ((given.Check() ?? FillInStuff.Check(given, project)) is { } refusal)
        {
            return refusal;
        }
        given = FillInStuff.WithRoom(given, project, context);
        var known = project.FillIns.FirstOrDefault(fillIn => fillIn.Id == given.Id);
        return project with
        {
            FillIns = known is null ? project.FillIns.Add(given) : project.FillIns.Replace(known, given),
            NextNumber = next,
        };
    }
}

/// <summary>Takes the mark away; what it changed stays as it stands.</summary>
public sealed record UnmarkFillIn : Edit
{
    public required string FillInId { get; init; }

    public override string Label(Project before) =>
        $"Keep {before.FillIns.FirstOrDefault(fillIn => fillIn.Id == FillInId)?.Label ?? "a fill-in"} the same in every order";

    public override Result<Project> Apply(Project project, EditContext context) =>
        project.FillIns.FirstOrDefault(fillIn => fillIn.Id == FillInId) is { } known
            ? project with
            {
                FillIns = project.FillIns.Remove(known),
            }
            : FillInStuff.Unknown(FillInId);
}

/// <summary>Puts the fill-ins in the order in which they are typed.</summary>
public sealed record ArrangeFillIns : Edit
{
    /// <summary>All of them, each once.</summary>
    public required ImmutableArray<string> FillInIds { get; init; }

    public override string Label(Project before) => "Arrange the fill-ins";

    public override Result<Project> Apply(Project project, EditContext context) =>
        FillInIds
            .Order(StringComparer.Ordinal)
            .SequenceEqual(project.FillIns.Select(own => own.Id).Order(StringComparer.Ordinal))
            ? project with
            {
                FillIns = [.. FillInIds.Select(id => project.FillIns.First(own => own.Id == id))],
            }
            : new Refusal("fill-ins-differ", "fillInIds", "Name every fill-in of the project once.");
}
