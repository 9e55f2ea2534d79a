using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;

namespace Ullet.Core.Edits;

/// <summary>Takes away the needle points that a lasso goes round. No other moves; threads that are cut are locked and trimmed.</summary>
public sealed record EraseOpened : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>The lasso's places, across and down in turn, mm on the wall.</summary>
    public required ImmutableArray<double> Lasso { get; init; }

    public override string Label(Project before) => $"Delete a part of {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        ElementIds.IsDefaultOrEmpty
            ? new Refusal("nothing-selected", "elementIds", "Nothing is selected; select opened stitches first.")
            : Edits.Lasso.Of(Lasso).Then(area => Erased(project, area, context));

    private Result<Project> Erased(Project project, Geometry.AreaIndex area, EditContext context)
    {
        var (left, gone) = (project, new List<string>());
        var any = false;
        foreach (var id in ElementIds)
        {
            var block = OpenedElement.Of(project, id);
            if (!block.IsOk)
            {
                return block.Refusal!;
            }
            var (points, wall) = (block.Value.Points, block.Value.OnWall());
            if (
                !Enumerable
                    .Range(0, points.Length)
                    .Any(i => points[i].Move == OpenedMove.Stitch && area.Holds(wall[i].At))
            )
            {
                continue;
            }
            any = true;
            var kept = OpenedParts.Kept(points, i => !area.Holds(wall[i].At));
            if (kept.All(point => point.Move != OpenedMove.Stitch))
            {
                gone.Add(id);
                continue;
            }
            left = left.With(
                block.Value.With(kept) with
                {
                    Making = block.Value.Making with { Look = BlockReader.LookOf(kept) },
                }
            );
        }
        return !any
                ? new Refusal("lasso-empty", "lasso", "The lasso goes round no needle point of what is selected.")
                {
                    Kind = RefusalKind.NotPossible,
                }
            : gone.Count == 0 ? left
            : new RemoveElements { ElementIds = [.. gone] }.Apply(left, context);
    }
}
