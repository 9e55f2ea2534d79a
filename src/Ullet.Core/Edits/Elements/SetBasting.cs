using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sets how basting is sewn and what it holds. All of it is given: a null goes back to the preset.</summary>
public sealed record SetBasting : MakingEdit<BastingMaking>
{
    /// <summary>mm.</summary>
    public double? StitchLength { get; init; }

    public string? ThreadId { get; init; }

    /// <summary>The element whose cloth it holds; null for what is hooped.</summary>
    public string? HoldsId { get; init; }

    public override string Label(Project before) => $"Change the basting of {PieceName(before)}";

    private protected override Result<Project> Change(Element element, BastingMaking making, Project project)
    {
        if (ThreadId is { } thread && project.FindThread(thread) is null)
        {
            return EditRefusals.NoThread(thread);
        }
        if (HoldsId is { } id && project.Find(id) is not { Making: ClothMaking })
        {
            return new Refusal("basting-unfit", "holdsId", "Basting holds a piece of cloth that is laid; choose one.")
            {
                Kind = RefusalKind.NotPossible,
            };
        }
        var changed = making with { StitchLength = StitchLength, ThreadId = ThreadId, HoldsId = HoldsId };
        return MakingModules.Of(changed).Check(changed) is { } no ? no : project.With(element.WithSettings(changed));
    }
}
