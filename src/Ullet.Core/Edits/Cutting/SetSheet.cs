using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sets how a cloth's shapes are laid out; places given by hand go when the layout changes.</summary>
public sealed record SetSheet : ClothCutEdit
{
    /// <summary>Null for in place where shapes do not meet, packed otherwise.</summary>
    public SheetLayout? Layout { get; init; }

    public Grain Grain { get; init; }

    /// <summary>mm.</summary>
    public double Gap { get; init; } = 2;

    public int Copies { get; init; } = 1;

    /// <summary>mm; null for as wide as the mat.</summary>
    public double? UsableWidth { get; init; }

    public CutMarks Marks { get; init; } = new();

    public override string Label(Project before) => $"Change the layout of {ClothName(before)}";

    private protected override Result<ClothCut> Change(ClothCut cut, Project project, EditContext context)
    {
        var changed = cut with
        {
            Layout = Layout,
            Grain = Grain,
            Gap = Gap,
            Copies = Copies,
            UsableWidth = UsableWidth,
            Marks = Marks,
        };
        return changed with { Marks = cut.Marks } == cut ? changed : changed with { Places = [] };
    }
}

/// <summary>Lays a cloth's shapes out anew, as if no hand had moved them.</summary>
public sealed record LayOutAgain : ClothCutEdit
{
    public override string Label(Project before) => $"Lay {ClothName(before)} out again";

    private protected override Result<ClothCut> Change(ClothCut cut, Project project, EditContext context) =>
        cut with
        {
            Places = [],
        };
}
