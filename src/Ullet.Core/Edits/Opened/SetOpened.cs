using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Says what opened stitches are for, whether they keep the file's order, and whether they are sewn; turns their direction.
/// What is null stays.</summary>
public sealed record SetOpened : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>What they are for.</summary>
    public OpenedRole? Role { get; init; }

    /// <summary>True to let them be sewn apart from the file's order.</summary>
    public bool? IsFree { get; init; }

    /// <summary>True to keep them without sewing them.</summary>
    public bool? IsResting { get; init; }

    /// <summary>True to sew them the other way round.</summary>
    public bool Reverses { get; init; }

    public override string Label(Project before)
    {
        var name = NameOf(before, ElementIds);
        return Role is { } role ? $"{name}: {OpenedRoleTable.Of(role).Words}"
            : IsFree is { } free
                ? free ? $"Let {name} be sewn anywhere"
                    : $"Keep {name} in the file’s order"
            : IsResting is { } resting
                ? resting ? $"Keep {name} without sewing"
                    : $"Sew {name} again"
            : $"Turn the direction of {name}";
    }

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (ElementIds.IsDefaultOrEmpty)
        {
            return new Refusal("nothing-selected", "elementIds", "Nothing is selected; select opened stitches first.");
        }
        if (Role is { } role && !Enum.IsDefined(role))
        {
            return new Refusal("role-unknown", "role", "There is no such role.");
        }
        foreach (var id in ElementIds)
        {
            var block = OpenedElement.Of(project, id);
            if (!block.IsOk)
            {
                return block.Refusal!;
            }
            project = project.With(Changed(block.Value));
        }
        return project;
    }

    private Element Changed(OpenedElement block)
    {
        var making = block.Making with
        {
            IsFree = IsFree ?? block.Making.IsFree,
            IsResting = IsResting ?? block.Making.IsResting,
        };
        if (Role is { } role)
        {
            making = making with { Role = role, Sureness = null, Words = null };
        }
        var element = Reverses ? block.With(OpenedParts.Reversed(block.Points)) : block.Element;
        return element with { Making = making };
    }
}
