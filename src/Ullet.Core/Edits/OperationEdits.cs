using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>What operations are called in labels and sentences.</summary>
public static class OperationNames
{
    public static string Of(Operation operation) =>
        operation switch
        {
            Carve => "Carve",
            Join => "Join",
            KeepOverlap => "Keep overlap",
            MoveEdge { Distance: < 0 } => "Inset",
            MoveEdge => "Outset",
            RoundCorners => "Round corners",
            RepeatInLine { LineId: not null } => "Repeat along a line",
            RepeatInLine => "Repeat in a row",
            RepeatRound => "Repeat round a centre",
            Mirror => "Mirror",
            Split => "Split",
            ClearCrumbs => "Clear crumbs",
            BridgeNecks => "Widen bridges",
            CutNecks => "Cut thin places",
            _ => operation.GetType().Name,
        };
}

/// <summary>An edit of an element's list of operations.</summary>
public abstract record OperationEdit : Edit
{
    public required string ElementId { get; init; }

    public sealed override Result<Project> Apply(Project project, EditContext context) =>
        project.Find(ElementId) switch
        {
            null => EditRefusals.NoElement(ElementId),
            { IsLocked: true } locked => EditRefusals.Locked(locked),
            { } element => Change(project, element),
        };

    private protected abstract Result<Project> Change(Project project, Element element);

    private protected string ElementName(Project project) => project.Find(ElementId)?.Name ?? "element";

    private protected static Refusal NoOperation(Element element, string id) =>
        new("operation-unknown", "operationId", $"{element.Name} has no operation \"{id}\"; it may have been removed.");

    private protected static int IndexOf(Element element, string id) =>
        Enumerable.Range(0, element.Operations.Length).FirstOrDefault(i => element.Operations[i].Id == id, -1);
}

/// <summary>Adds an operation after those that an element has.</summary>
public sealed record AddOperation : OperationEdit
{
    /// <summary>What is to be done; its id is given here.</summary>
    public required Operation Operation { get; init; }

    public override string Label(Project before) =>
        Operation.Sources.Length == 1 && before.Find(Operation.Sources[0]) is { } source
            ? $"{OperationNames.Of(Operation)}: {ElementName(before)} with {source.Name}"
            : $"{OperationNames.Of(Operation)}: {ElementName(before)}";

    /// <remarks>The sources of a join or of a kept overlap become construction shapes: their cloth is part of the element
    /// now, and would be sewn twice.</remarks>
    private protected override Result<Project> Change(Project project, Element element)
    {
        if (element.Operations.Length >= OperationLimits.MostOperations)
        {
            return new Refusal(
                "operations-too-many",
                "operation",
                $"{element.Name} has {OperationLimits.MostOperations} operations already. Freeze them into nodes first."
            );
        }
        if ((OperationLimits.Check(Operation) ?? OperationLimits.CheckSources(project, element, Operation)) is { } no)
        {
            return no;
        }
        var added = Operation with { Id = $"o{project.NextNumber}" };
        var changed = project.With(element with { Operations = element.Operations.Add(added) }) with
        {
            NextNumber = project.NextNumber + 1,
        };
        return Operation is Join or KeepOverlap ? Construction.Made(changed, Operation.Sources) : changed;
    }
}

/// <summary>Gives an operation other numbers or sources, mutes it or lets it work again; its place stays.</summary>
public sealed record ChangeOperation : OperationEdit
{
    /// <summary>The operation as it is to be; its id says which one.</summary>
    public required Operation Operation { get; init; }

    public override string Label(Project before) =>
        before.Find(ElementId)?.Operations.FirstOrDefault(own => own.Id == Operation.Id) is { } own
        && own.IsMuted != Operation.IsMuted
            ? $"{(Operation.IsMuted ? "Mute" : "Unmute")} {OperationNames.Of(Operation).ToLowerInvariant()} of {ElementName(before)}"
            : $"Change {OperationNames.Of(Operation).ToLowerInvariant()} of {ElementName(before)}";

    private protected override Result<Project> Change(Project project, Element element)
    {
        var index = IndexOf(element, Operation.Id);
        if (index < 0)
        {
            return NoOperation(element, Operation.Id);
        }
        var without = element with { Operations = element.Operations.RemoveAt(index) };
        if (
            (
                OperationLimits.Check(Operation)
                ?? OperationLimits.CheckSources(project.With(without), without, Operation)
            ) is
            { } no
        )
        {
            return no;
        }
        var old = element.Operations[index];
        var changed = project.With(element with { Operations = element.Operations.SetItem(index, Operation) });
        if (Operation is not (Join or KeepOverlap))
        {
            return changed;
        }
        changed = Construction.Released(changed, old.Sources.Except(Operation.Sources));
        return Construction.Made(changed, [.. Operation.Sources.Except(old.Sources)]);
    }
}

/// <summary>Moves an operation to another place among those of its element.</summary>
public sealed record MoveOperation : OperationEdit
{
    public required string OperationId { get; init; }

    /// <summary>Its new place, 0 for the first; beyond the last means the last.</summary>
    public required int Place { get; init; }

    public override string Label(Project before) => $"Reorder the operations of {ElementName(before)}";

    private protected override Result<Project> Change(Project project, Element element)
    {
        var index = IndexOf(element, OperationId);
        if (index < 0)
        {
            return NoOperation(element, OperationId);
        }
        if (Place < 0)
        {
            return new Refusal("place-out-of-range", "place", "There is no place before the first operation.");
        }
        var rest = element.Operations.RemoveAt(index);
        return project.With(
            element with
            {
                Operations = rest.Insert(Math.Min(Place, rest.Length), element.Operations[index]),
            }
        );
    }
}

/// <summary>Takes an operation away; what it used to join is sewn by itself again.</summary>
public sealed record RemoveOperation : OperationEdit
{
    public required string OperationId { get; init; }

    public override string Label(Project before) =>
        before.Find(ElementId)?.Operations.FirstOrDefault(own => own.Id == OperationId) is { } own
            ? $"Remove {OperationNames.Of(own).ToLowerInvariant()} of {ElementName(before)}"
            : $"Remove an operation of {ElementName(before)}";

    private protected override Result<Project> Change(Project project, Element element)
    {
        var index = IndexOf(element, OperationId);
        if (index < 0)
        {
            return NoOperation(element, OperationId);
        }
        var old = element.Operations[index];
        var changed = project.With(element with { Operations = element.Operations.RemoveAt(index) });
        return old is Join or KeepOverlap ? Construction.Released(changed, old.Sources) : changed;
    }
}

/// <summary>Elements that are only there to make others.</summary>
internal static class Construction
{
    /// <summary>The document with elements made construction shapes, or the refusal: one is locked.</summary>
    internal static Result<Project> Made(Project project, ImmutableArray<string> ids)
    {
        foreach (var source in ids.Select(project.Find).OfType<Element>().Where(source => !source.IsConstruction))
        {
            if (source.IsLocked)
            {
                return new Refusal(
                    "element-locked",
                    "sourceIds",
                    $"{source.Name} is locked, and it would no longer be sewn by itself. Unlock it first."
                );
            }
            project = project.With(source with { IsConstruction = true });
        }
        return project;
    }

    /// <summary>The document with those construction shapes sewn again that nothing uses any more.</summary>
    internal static Project Released(Project project, IEnumerable<string> ids)
    {
        foreach (var id in ids)
        {
            if (
                project.Find(id) is { IsConstruction: true } source
                && !project.Elements.Any(element => element.SourceIds().Contains(id))
            )
            {
                project = project.With(source with { IsConstruction = false });
            }
        }
        return project;
    }
}

/// <summary>Makes elements construction shapes, which are neither sewn nor cut, or has them sewn again.</summary>
public sealed record MakeConstruction : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    public required bool IsConstruction { get; init; }

    public override string Label(Project before) =>
        $"{(IsConstruction ? "Make a construction shape of" : "Sew")} {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        Chosen
            .Find(project, ElementIds)
            .Then(elements =>
                (Result<Project>)
                    elements.Aggregate(project, (so, each) => so.With(each with { IsConstruction = IsConstruction }))
            );
}
