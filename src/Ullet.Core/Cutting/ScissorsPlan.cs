using System.Collections.Immutable;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;

namespace Ullet.Core.Cutting;

/// <summary>Lays everything that is cut on sheets of paper, with every label and mark: to print, to pin on and to cut round with
/// scissors.</summary>
public static class ScissorsPlan
{
    /// <summary>Distance between shapes, mm: room for scissors.</summary>
    private const double Gap = 6;

    /// <param name="project">The project.</param>
    /// <param name="cuts">All its cut shapes.</param>
    /// <param name="width">What of the paper is printed, mm.</param>
    /// <param name="height">What of the paper is printed, mm.</param>
    public static ImmutableArray<CutSheet> Of(
        Project project,
        ImmutableArray<CutShape> cuts,
        double width,
        double height
    )
    {
        var marked = project with
        {
            Cut = project.Cut with
            {
                Cloths =
                [
                    .. project.Cloths.Select(cloth =>
                        project.Cut.Of(cloth.Id) with
                        {
                            Mat = new MatSize(width, height, 0),
                            UsableWidth = null,
                            Grain = Grain.Free,
                            Layout = SheetLayout.Packed,
                            Gap = Gap,
                            Marks = CutMarks.All,
                            Places = [],
                        }
                    ),
                ],
            },
        };
        ImmutableArray<CutShape> shapes =
        [
            .. cuts.Where(shape => shape.Kind != CutKind.Layer),
            .. LayerShapes.Of(marked, PatternShelf.PlanOf(project)),
        ];
        return SheetPlanner.Plan(marked, PieceMarks.Marked(shapes, marked.Cut));
    }
}
